import { ArrayMaxSize, ArrayUnique, IsArray, IsIn, IsOptional } from 'class-validator';
import { IsId, IsName, IsOrder, IsText } from './fields.js';
import { LayoutRule } from './layout-rule.js';
import { Nested } from './nested.js';
import { ROLES, PARTIES, type Role, type Party } from './words.js';

/** Anything that takes part in an exchange. */
export class Station {
  @IsId() id!: string;
  @IsOrder() order!: number;
  @IsName() name!: string;
  @IsArray() @ArrayMaxSize(ROLES.length) @ArrayUnique() @IsIn(ROLES, { each: true }) roles!: Role[];
  /** the profile's id, or null where nothing is known of its type */
  @IsOptional() @IsId() profile!: string | null;
  /** own, or outside: only described, its words count as said on paper */
  @IsIn(PARTIES) party!: Party;
  @IsText() typeText?: string;
  /** who answers for it */
  @IsText() supplier?: string;
  @Nested(() => LayoutRule, { nullable: true }) layout?: LayoutRule | null;
  @IsText() comment?: string;
}
