import { Acceptance } from './acceptance.js';
import { Area } from './area.js';
import { Claim } from './claim.js';
import { declaredOf } from './declared.js';
import { End } from './end.js';
import { Exchange } from './exchange.js';
import { Expectation } from './expectation.js';
import { FoundDevice } from './found-device.js';
import { HelperObject } from './helper-object.js';
import { Landing } from './landing.js';
import { Lane } from './lane.js';
import { MemoryCopy } from './memory-copy.js';
import { Module } from './module.js';
import { Network } from './network.js';
import { PointRecord } from './point-record.js';
import { Port } from './port.js';
import { Profile } from './profile.js';
import { ProjectInfo } from './project-info.js';
import { Rack } from './rack.js';
import { Route } from './route.js';
import { Setting } from './setting.js';
import { Station } from './station.js';
import { Structure } from './structure.js';
import { Tag } from './tag.js';
import { TagImport } from './tag-import.js';
import { TagSeries } from './tag-series.js';
import { TemporaryThing } from './temporary-thing.js';
import { Tick } from './tick.js';
import { WorkRecord } from './work-record.js';

/**
 * Every kind of entity, in the order of the project file: what is referred to stands before what refers. This is the only
 * list of them; all else about a kind is said by its class.
 */
export const CLASSES = {
  project: ProjectInfo,
  profile: Profile,
  station: Station,
  rack: Rack,
  module: Module,
  network: Network,
  port: Port,
  area: Area,
  structure: Structure,
  series: TagSeries,
  import: TagImport,
  tag: Tag,
  copy: MemoryCopy,
  landing: Landing,
  exchange: Exchange,
  end: End,
  lane: Lane,
  claim: Claim,
  acceptance: Acceptance,
  tick: Tick,
  setting: Setting,
  route: Route,
  helper: HelperObject,
  expectation: Expectation,
  found: FoundDevice,
  work: WorkRecord,
  temporary: TemporaryThing,
  point: PointRecord,
};

export type Kind = keyof typeof CLASSES;
export type EntityOf = { [K in Kind]: InstanceType<(typeof CLASSES)[K]> };
export type Entity = EntityOf[Kind];

export const KINDS = Object.keys(CLASSES) as readonly Kind[];

export const PROJECT_ID = 'project';

export function isKind(text: unknown): text is Kind {
  return typeof text === 'string' && Object.hasOwn(CLASSES, text);
}

/** The word for a kind in a sentence, for one and for several. */
export const kindWord = (kind: Kind): string => declaredOf(CLASSES[kind]).words?.one ?? kind;
export const kindWords = (kind: Kind): string => declaredOf(CLASSES[kind]).words?.many ?? `${kind}s`;
