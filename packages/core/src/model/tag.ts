import { IsBoolean, IsIn, IsNumber, IsOptional, IsString } from 'class-validator';
import { AtMost } from './at-most.js';
import type { AsTyped } from './as-typed.js';
import { Place, TypeRef } from './claim.js';
import { IsId, IsName, IsOrder, IsText } from './fields.js';
import { Names, Nested, PartOf } from './declared.js';
import {
  ACCESSES,
  OPENNESS,
  PANEL_ELEMENTS,
  POLARITIES,
  SIGNAL_KINDS,
  type Access,
  type Openness,
  type PanelElement,
  type Polarity,
  type SignalKind,
} from './words.js';

/** Raw numbers and what they stand for, at both ends of the range: 0–27648 are 0–100 %. */
export class Scaling {
  @IsNumber() rawLow!: number;
  @IsNumber() rawHigh!: number;
  @IsNumber() low!: number;
  @IsNumber() high!: number;
}

/** Why a tag takes no part, and who said so. */
export class NotUsed {
  @IsString() @AtMost(500) reason!: string;
  @IsString() @AtMost(200) by!: string;
}

/** A named variable of one station. Without an address it is a memory of its own. */
export class Tag {
  @IsId() id!: string;
  @IsOrder() order!: number;
  @IsId() @PartOf('station') station!: string;
  @IsName() name!: string;
  @Nested(() => TypeRef, { orTyped: true, nullable: true }) type!: TypeRef | AsTyped | null;
  @Nested(() => Place, { orTyped: true, nullable: true }) place!: Place | AsTyped | null;
  /** of a list of several partners: the group in which its name stands for one thing; empty: that of the partner it is bound to */
  @IsText() group?: string;
  /** what it asks another station for, as typed: an address there, a name or an item text */
  @IsText() asks?: string;
  @IsOptional() @IsIn(ACCESSES) access?: Access | null;
  /** the program that it is local to, and then hidden from outside; empty: global */
  @IsText() program?: string;
  /** whether others may use it by name; empty: not said */
  @IsOptional() @IsIn(OPENNESS) open?: Openness | null;
  /** of its value: bar, °C */
  @IsText() unit?: string;
  @Nested(() => Scaling, { orTyped: true, nullable: true }) scaling?: Scaling | AsTyped | null;
  @IsOptional() @IsIn(POLARITIES) polarity?: Polarity | null;
  /** what people call it, where its name is for machines */
  @IsText() alias?: string;
  @IsOptional() @IsIn(SIGNAL_KINDS) signal?: SignalKind | null;
  /** without an address: whose value stands where its program writes it and others set it */
  @IsText() lastWord?: string;
  /** of a panel: what it is shown with, or set by */
  @IsOptional() @IsIn(PANEL_ELEMENTS) element?: PanelElement | null;
  /** a lane needs it, or it is marked so: where it is bound by name, it must be there */
  @IsOptional() @IsBoolean() required?: boolean;
  /** it takes no part, for this reason */
  @Nested(() => NotUsed, { nullable: true }) notUsed?: NotUsed | null;
  /** where it came from, unless it was typed */
  @IsOptional() @IsId() @Names('series') series?: string | null;
  @IsOptional() @IsId() @Names('import') import?: string | null;
  /** never meant to be used from outside */
  @IsOptional() @IsBoolean() internal?: boolean;
  /** what it was made by: `end e1 input` */
  @IsText() madeBy?: string;
  @IsText() comment?: string;
}
