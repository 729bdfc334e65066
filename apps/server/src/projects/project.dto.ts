import { LONGEST_NAME } from '@dialoga/core/entry';
import { IsIn, IsString, MaxLength, Matches } from 'class-validator';

export class NameDto {
  @IsString({ message: 'must be text' })
  @Matches(/\S/, { message: 'a project needs a name' })
  @MaxLength(LONGEST_NAME, { message: `must have at most ${LONGEST_NAME} characters` })
  name!: string;
}

export const DEMOS = ['kestrel-quay', 'kestrel-quay-as-agreed'] as const;

export class DemoDto {
  @IsIn(DEMOS, { message: `must be one of ${DEMOS.join(', ')}` }) demo!: (typeof DEMOS)[number];
}

/** A project as the list shows it. */
export interface ProjectSummary {
  id: string;
  name: string;
  revision: number;
  changed: Date;
  /** counts of findings; null: not counted yet since the last change */
  tally: { blocker: number; doubt: number; hint: number } | null;
}
