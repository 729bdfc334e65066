import type { Change, ChangeSet } from '@dialoga/core/change';
import { KINDS, type Kind } from '@dialoga/core/model';
import { AtMost, ID_PATTERN } from '@dialoga/core/entry';
import { ApiProperty } from '@nestjs/swagger';
import { Allow, ArrayMaxSize, IsArray, IsIn, IsOptional, IsString, Matches } from 'class-validator';
import { LONGEST_AUTHOR } from '../database/tables.js';

const ID = { message: 'must be an id: a letter, then at most 63 letters, digits and hyphens' };
export const MOST_CHANGES = 100_000;
/** Any JSON value. */
const ANY = {
  required: false,
  oneOf: [
    { type: 'string', nullable: true },
    { type: 'number' },
    { type: 'boolean' },
    { type: 'object' },
    { type: 'array', items: {} },
  ],
};

export class ChangeDto implements Change {
  @ApiProperty({ enum: KINDS })
  @IsIn(KINDS, { message: `must be one of ${KINDS.join(', ')}` })
  kind!: Kind;

  @ApiProperty({ pattern: ID_PATTERN.source }) @IsString() @Matches(ID_PATTERN, ID) id!: string;

  @ApiProperty({ type: [String], description: 'into the entity; empty: the whole of it' })
  @IsArray()
  @ArrayMaxSize(12)
  @Matches(ID_PATTERN, { ...ID, each: true })
  path!: string[];

  @ApiProperty({ ...ANY, description: 'what is there; left out: nothing' }) @Allow() before?: Change['before'];
  @ApiProperty({ ...ANY, description: 'what is to be there; left out: nothing' }) @Allow() after?: Change['after'];
}

/** What a change set says of itself. */
export class ChangeSetHead {
  @ApiProperty({ pattern: ID_PATTERN.source, description: 'made by whoever sends it; sent twice counts once' })
  @IsString()
  @Matches(ID_PATTERN, ID)
  id!: string;

  @ApiProperty({ maxLength: 500 }) @IsString() @AtMost(500) label!: string;

  @ApiProperty({ required: false, maxLength: LONGEST_AUTHOR, description: 'who made it, as he names himself' })
  @IsOptional()
  @IsString()
  @AtMost(LONGEST_AUTHOR)
  author?: string;
}

/** What is sent: `read-change-set.ts` reads it. */
export class ChangeSetDto extends ChangeSetHead implements ChangeSet {
  @ApiProperty({ type: [ChangeDto], minItems: 1, maxItems: MOST_CHANGES }) changes!: ChangeDto[];
}

/** What committing answers. */
export class Committed {
  @ApiProperty() revision!: number;
}

/** A revision with what it changed. */
export class JournalView {
  @ApiProperty() revision!: number;
  @ApiProperty({ description: 'by the clock of the database' }) made!: Date;
  @ApiProperty({ type: String, nullable: true }) author!: string | null;
  @ApiProperty({ type: ChangeSetDto }) set!: ChangeSet;
}
