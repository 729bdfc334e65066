import { IsId, IsName, IsOrder, IsText } from './fields.js';
import { Nested, RecordOf } from './declared.js';
import { TypeRef } from './claim.js';
import type { AsTyped } from './as-typed.js';

/** One member of a structure; its type may be a structure again. */
export class Member {
  @IsOrder() order!: number;
  @IsName() name!: string;
  @Nested(() => TypeRef, { orTyped: true, nullable: true }) type!: TypeRef | AsTyped | null;
}

/** A structured data type, as IEC 61131-3 declares one: its members in order. Where each lies is a station's own affair. */
export class Structure {
  @IsId() id!: string;
  @IsOrder() order!: number;
  @IsName() name!: string;
  @RecordOf(() => Member) members!: Record<string, Member>;
  @IsText() comment?: string;
}
