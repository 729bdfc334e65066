import { IsIn, IsOptional } from 'class-validator';
import {
  BYTE_ORDERS,
  REGISTER_ORDERS,
  BOOL_PACKINGS,
  NUMBERINGS,
  STRING_HEADERS,
  CHARACTER_SIZES,
  ALIGNMENTS,
  type ByteOrder,
  type RegisterOrder,
  type BoolPacking,
  type Numbering,
  type StringHeader,
  type CharacterSize,
  type Alignment,
} from './words.js';

/**
 * How values sit in memory. A profile states all of it; a station, an area and a claim may each replace parts.
 * Byte order: of the bytes in a word. Register order: of the words of a longer value.
 */
export class LayoutRule {
  @IsOptional() @IsIn(BYTE_ORDERS) byteOrder?: ByteOrder;
  @IsOptional() @IsIn(REGISTER_ORDERS) registerOrder?: RegisterOrder;
  @IsOptional() @IsIn(BOOL_PACKINGS) boolPacking?: BoolPacking;
  @IsOptional() @IsIn(NUMBERINGS) boolNumbering?: Numbering;
  @IsOptional() @IsIn(STRING_HEADERS) stringHeader?: StringHeader;
  @IsOptional() @IsIn(CHARACTER_SIZES) characters?: CharacterSize;
  @IsOptional() @IsIn(ALIGNMENTS) alignment?: Alignment;
}
