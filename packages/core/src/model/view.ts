import { IsIn, IsInt, IsOptional, IsString, Max, Min } from 'class-validator';
import { AtMost } from './at-most.js';
import { IsName, IsOrder } from './fields.js';
import {
  UNITS,
  NOTATIONS,
  AREA_KINDS,
  TABLES,
  ACCESSES,
  BYTE_ORDERS,
  NUMBERINGS,
  RADIXES,
  type Unit,
  type NotationId,
  type AreaKind,
  type ReferenceTable,
  type Access,
  type ByteOrder,
  type Numbering,
  type Radix,
} from './words.js';

/** One way to write an area's addresses down. An area may have several over the same memory. */
export class View {
  @IsOrder() order!: number;
  @IsName() name!: string;
  /** in a profile: the kind of area that this view belongs to */
  @IsOptional() @IsIn(AREA_KINDS) areaKind?: AreaKind;
  @IsIn(NOTATIONS) notation!: NotationId;
  /** letters before the number: `w`, the location letter of IEC 61131-3 (I, Q, M), or the name before `[element]` */
  @IsOptional() @IsString() @AtMost(24) prefix?: string;
  /** digits that a number is filled up to with zeros, as in `D0100` */
  @IsOptional() @IsInt() @Min(1) @Max(9) digits?: number;
  /** how numbers after a prefix are written */
  @IsOptional() @IsIn(RADIXES) radix?: Radix;
  /** bits per number */
  @IsIn(UNITS) unit!: Unit;
  /** the number of the first unit, 0 or 1 as a rule */
  @IsInt() @Min(0) @Max(1_000_000) first!: number;
  /** where in the area the first unit lies, in bits */
  @IsOptional() @IsInt() @Min(0) base?: number;
  @IsOptional() @IsIn(BYTE_ORDERS) byteOrder?: ByteOrder;
  @IsOptional() @IsIn(NUMBERINGS) bitNumbering?: Numbering;
  @IsOptional() @IsIn(TABLES) table?: ReferenceTable;
  @IsOptional() @IsIn(ACCESSES) access?: Access;
}
