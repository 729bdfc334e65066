import { KINDS, type Change, type ChangeSet, type Kind } from '@dialoga/core';
import { ID_PATTERN } from '@dialoga/core/entry';
import { Type } from 'class-transformer';
import {
  Allow,
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsIn,
  IsObject,
  IsString,
  Matches,
  MaxLength,
  ValidateNested,
} from 'class-validator';

const ID = { message: 'must be an id: a letter, then at most 63 letters, digits and hyphens' };
const MOST_CHANGES = 100_000;

export class ChangeDto implements Change {
  @IsIn(KINDS, { message: `must be one of ${KINDS.join(', ')}` }) kind!: Kind;
  @IsString() @Matches(ID_PATTERN, ID) id!: string;
  @IsArray() @ArrayMaxSize(12) @Matches(ID_PATTERN, { ...ID, each: true }) path!: string[];
  @Allow() before?: Change['before'];
  @Allow() after?: Change['after'];
}

export class ChangeSetDto implements ChangeSet {
  @IsString() @Matches(ID_PATTERN, ID) id!: string;
  @IsString() @MaxLength(500) label!: string;
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(MOST_CHANGES)
  @IsObject({ each: true, message: 'each must be an object' })
  @ValidateNested({ each: true })
  @Type(() => ChangeDto)
  changes!: ChangeDto[];
}
