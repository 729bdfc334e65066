import { ArrayUnique, IsArray, IsBoolean, IsIn, IsInt, IsOptional, IsString, Max, Min } from 'class-validator';
import { AtMost } from './at-most.js';
import { Beginning } from './beginning.js';
import { IsId, IsName, IsOrder, IsText } from './fields.js';
import { LayoutRule } from './layout-rule.js';
import { Nested, RecordOf } from './declared.js';
import { BlockMember } from './block-member.js';
import { View } from './view.js';
import {
  AFTER_LOAD,
  AREA_KINDS,
  CALLING,
  FORWARDS,
  HOP_ORDERS,
  MODULE_KINDS,
  NAME_FORMS,
  NETWORK_KINDS,
  PRESET_FIELDS,
  TABLES,
  type AfterLoad,
  type AreaKind,
  type Calling,
  type Forward,
  type HopOrder,
  type ModuleKind,
  type NameForm,
  type NetworkKind,
  type PresetField,
  type ReferenceTable,
} from './words.js';

/** A figure of a profile and where it comes from. */
export class Limit {
  @IsInt() @Min(0) value!: number;
  @IsString() @AtMost(500) source!: string;
}

/** Which names a station takes. */
export class NameRule {
  @IsOptional() @IsInt() @Min(1) longest?: number;
  /** identifier: letters, digits and single underscores, as IEC 61131-3 has it */
  @IsOptional() @IsIn(NAME_FORMS) form?: NameForm;
  /** whether `Door` and `door` are two names there */
  @IsBoolean() caseMatters!: boolean;
  @IsString() @AtMost(500) source!: string;
}

/** How a type speaks one protocol: in which roles, over which media. */
export class Speech {
  @IsArray() @ArrayUnique() @IsIn(CALLING, { each: true }) roles!: Calling[];
  @IsArray() @ArrayUnique() @IsIn(NETWORK_KINDS, { each: true }) media!: NetworkKind[];
  /** the oldest firmware that speaks it, compared part by part; empty: any */
  @IsOptional() @IsString() @AtMost(60) firmware?: string;
  @IsString() @AtMost(500) source!: string;
}

/** A value that the type leaves the factory with, and that stands for 'not yet set'. */
export class Preset {
  @IsIn(PRESET_FIELDS) field!: PresetField;
  @IsString() @AtMost(60) value!: string;
  @IsString() @AtMost(500) source!: string;
}

/** Where a radio base keeps the module of a dial: the register of dial 0, and how many registers further each dial lies. */
export class RadioBlock {
  @IsIn(MODULE_KINDS) kind!: ModuleKind;
  @IsIn(TABLES) table!: ReferenceTable;
  /** reference number in its table, from 1 */
  @IsInt() @Min(1) first!: number;
  @IsInt() @Min(1) stride!: number;
  @IsString() @AtMost(500) source!: string;
}

/** A block that the type, or a module of it, keeps in the memory of a controller. */
export class ReservedBlock {
  @IsOrder() order!: number;
  @IsName() name!: string;
  @IsIn(AREA_KINDS) areaKind!: AreaKind;
  /** in bits of the area: its length, the first and the last place where it may start, and how far from one to the next */
  @IsInt() @Min(1) @Max(1e6) length!: number;
  @IsOptional() @IsInt() @Min(0) firstStart?: number | null;
  @IsOptional() @IsInt() @Min(0) lastStart?: number | null;
  @IsOptional() @IsInt() @Min(1) startStep?: number | null;
  /** it puts data there of itself: exchanges may send that on, but put nothing there */
  @IsOptional() @IsBoolean() puts?: boolean;
  @RecordOf(() => BlockMember) members!: Record<string, BlockMember>;
  @IsString() @AtMost(500) source!: string;
}

/** A template for the text of one point of a module, with its source. */
export class PointText {
  @IsString() @AtMost(200) text!: string;
  @IsString() @AtMost(500) source!: string;
}

/** Sizes in bytes that a block may have. */
export class Sizes {
  @IsArray() @ArrayUnique() @IsInt({ each: true }) @Min(1, { each: true }) bytes!: number[];
  @IsString() @AtMost(500) source!: string;
}

/** Something that the type passes on between its networks. */
export class Forwarding {
  @IsIn(FORWARDS) what!: Forward;
  /** the oldest firmware that does so, compared part by part; empty: any */
  @IsOptional() @IsString() @AtMost(60) firmware?: string;
  @IsString() @AtMost(500) source!: string;
}

/** How the text of a route is written at a station of this type, with its source. */
export class RouteText {
  /** between two hops */
  @IsString() @AtMost(10) separator!: string;
  /** between the two parts of a hop */
  @IsString() @AtMost(10) joint!: string;
  @IsIn(HOP_ORDERS) hopOrder!: HopOrder;
  /** whether ways are written by name, or as numbers of ports */
  @IsBoolean() named!: boolean;
  /** whether the first hop says which own port it leaves by */
  @IsBoolean() firstPort!: boolean;
  /** around the whole text; empty: nothing */
  @IsString() @AtMost(2) quote!: string;
  @IsString() @AtMost(500) source!: string;
}

/** A custom of the type that a rule asks for, with its source. */
export class Custom {
  @IsString() @AtMost(500) source!: string;
}

/** What a station of the type does after a load, with its source. */
export class Loading {
  @IsIn(AFTER_LOAD) does!: AfterLoad;
  @IsString() @AtMost(500) source!: string;
}

/** An end's own word for one of ours, shown under it. */
export class OwnWord {
  @IsString() @AtMost(60) word!: string;
}

/** What is known of a type of station: data, editable, every figure with its source. */
export class Profile {
  @IsId() id!: string;
  @IsOrder() order!: number;
  @IsName() name!: string;
  @Nested(() => LayoutRule) layout!: LayoutRule;
  @RecordOf(() => View) views!: Record<string, View>;
  /** what a station of this type begins with; nothing where nothing is said */
  @Nested(() => Beginning, { nullable: true }) begins?: Beginning | null;
  /** keyed by what is limited: `connections`, `bytes`, `tags` … */
  @RecordOf(() => Limit) limits!: Record<string, Limit>;
  @Nested(() => NameRule) nameRule!: NameRule;
  /** keyed by protocol; none at all: not known */
  @RecordOf(() => Speech, { nullable: true }) speaks?: Record<string, Speech> | null;
  @RecordOf(() => Forwarding, { nullable: true, onOneLine: true }) forwards?: Record<string, Forwarding> | null;
  /** factory values that mean 'not yet set' */
  @RecordOf(() => Preset, { nullable: true }) presets?: Record<string, Preset> | null;
  /** of a radio base: where each kind of module lies by its dial */
  @RecordOf(() => RadioBlock, { nullable: true }) radioBlocks?: Record<string, RadioBlock> | null;
  /** keyed by protocol: the sizes in bytes that a block of it may have; any where nothing is said */
  @RecordOf(() => Sizes, { nullable: true }) sizes?: Record<string, Sizes> | null;
  /** blocks that it, or a communication module of it, takes of a memory */
  @RecordOf(() => ReservedBlock, { nullable: true }) blocks?: Record<string, ReservedBlock> | null;
  /** how a point of a module is written in its programs: `{station}:{slot}:{kind}.{channel}` */
  @Nested(() => PointText, { nullable: true }) pointText?: PointText | null;
  /** how a tag of another station is asked for: `{group}.{tag}[{element}]` */
  @Nested(() => PointText, { nullable: true }) itemText?: PointText | null;
  /** how a row names the station that it asks, where each row does: `{address}:{port}/{unit}` */
  @Nested(() => PointText, { nullable: true }) stationText?: PointText | null;
  /** how the text of a route is written; as the core assumes where nothing is said */
  @Nested(() => RouteText, { nullable: true }) routeText?: RouteText | null;
  /** its unit address is by custom the last part of its IP address */
  @Nested(() => Custom, { nullable: true }) unitIsLastOctet?: Custom | null;
  /** over Ethernet, too, it answers to its own unit only */
  @Nested(() => Custom, { nullable: true }) checksUnit?: Custom | null;
  /** whether a load stops it, and whether it goes on by itself then; as with others of its role where nothing is said */
  @Nested(() => Loading, { nullable: true }) afterLoad?: Loading | null;
  /** keyed by our word: `writes`, `reads`, `calls`, `listens` … */
  @RecordOf(() => OwnWord) words!: Record<string, OwnWord>;
  @IsText() comment?: string;
}
