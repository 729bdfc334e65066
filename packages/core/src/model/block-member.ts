import { IsBoolean, IsIn, IsInt, IsOptional, Max, Min } from 'class-validator';
import { IsName, IsOrder, IsText } from './fields.js';
import {
  ACCESSES,
  CALLING,
  MEMBER_USES,
  SIGNALS,
  type Access,
  type Calling,
  type MemberUse,
  type Signal,
} from './words.js';

/** One part of a block that a communication module keeps in its controller's memory. */
export class BlockMember {
  @IsOrder() order!: number;
  @IsName() name!: string;
  /** bits from the start of the block */
  @IsInt() @Min(0) @Max(1e6) offset!: number;
  @IsInt() @Min(1) @Max(1e6) bits!: number;
  @IsIn(MEMBER_USES) use!: MemberUse;
  /** the role in which it matters; empty: in both */
  @IsOptional() @IsIn(CALLING) role?: Calling | null;
  /** how the program sets or sees it */
  @IsOptional() @IsIn(SIGNALS) signal?: Signal | null;
  /** what the program may do with it; `read`: the module sets it */
  @IsIn(ACCESSES) access!: Access;
  /** written once at start, by start values */
  @IsOptional() @IsBoolean() atStart?: boolean;
  /** what they write there, or what the firmware keeps there where it sets it, as typed: an address, a text in quotes or bytes */
  @IsText() content?: string;
  @IsText() meaning?: string;
}
