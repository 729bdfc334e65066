import { LONGEST_NAME } from '@dialoga/core/entry';
import { ApiProperty } from '@nestjs/swagger';
import { IsIn, IsOptional, IsString, Matches } from 'class-validator';
import { AtMost } from '@dialoga/core/entry';
import { LONGEST_AUTHOR } from '../database/tables.js';

export class NameDto {
  @ApiProperty({ maxLength: LONGEST_NAME })
  @IsString({ message: 'must be text' })
  @Matches(/\S/, { message: 'a project needs a name' })
  @AtMost(LONGEST_NAME)
  name!: string;
}

export class RenameDto extends NameDto {
  @ApiProperty({ required: false, maxLength: LONGEST_AUTHOR, description: 'who renames it, as he names himself' })
  @IsOptional()
  @IsString()
  @AtMost(LONGEST_AUTHOR)
  author?: string;
}

export const DEMOS = ['kestrel-quay', 'kestrel-quay-as-agreed'] as const;

export class DemoDto {
  @ApiProperty({ enum: DEMOS })
  @IsIn(DEMOS, { message: `must be one of ${DEMOS.join(', ')}` })
  demo!: (typeof DEMOS)[number];
}

/** Counts of findings by severity. */
export class TallyView {
  @ApiProperty() blocker!: number;
  @ApiProperty() doubt!: number;
  @ApiProperty() hint!: number;
}

/** A project as the list shows it. */
export class ProjectSummary {
  @ApiProperty() id!: string;
  @ApiProperty() name!: string;
  @ApiProperty({ description: 'its newest; 0 is how it began' }) revision!: number;
  @ApiProperty() changed!: Date;
  @ApiProperty({ type: TallyView, nullable: true, description: 'null: not counted yet since the last change' })
  tally!: TallyView | null;
}
