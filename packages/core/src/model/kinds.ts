import type { Acceptance } from './acceptance.js';
import type { Area } from './area.js';
import type { Claim } from './claim.js';
import type { End } from './end.js';
import type { Exchange } from './exchange.js';
import type { Expectation } from './expectation.js';
import type { HelperObject } from './helper-object.js';
import type { Landing } from './landing.js';
import type { Lane } from './lane.js';
import type { MemoryCopy } from './memory-copy.js';
import type { Module } from './module.js';
import type { Network } from './network.js';
import type { Port } from './port.js';
import type { Profile } from './profile.js';
import type { ProjectInfo } from './project-info.js';
import type { Rack } from './rack.js';
import type { Route } from './route.js';
import type { Setting } from './setting.js';
import type { Station } from './station.js';
import type { Structure } from './structure.js';
import type { Tag } from './tag.js';
import type { TagImport } from './tag-import.js';
import type { TagSeries } from './tag-series.js';
import type { Tick } from './tick.js';

/** Every kind of entity, in the order of the project file: what is referred to stands before what refers. */
export const KINDS = [
  'project',
  'profile',
  'station',
  'rack',
  'module',
  'network',
  'port',
  'area',
  'structure',
  'series',
  'import',
  'tag',
  'copy',
  'landing',
  'exchange',
  'end',
  'lane',
  'claim',
  'acceptance',
  'tick',
  'setting',
  'route',
  'helper',
  'expectation',
] as const;
export type Kind = (typeof KINDS)[number];

export interface EntityOf {
  project: ProjectInfo;
  profile: Profile;
  station: Station;
  rack: Rack;
  module: Module;
  network: Network;
  port: Port;
  area: Area;
  structure: Structure;
  series: TagSeries;
  import: TagImport;
  tag: Tag;
  copy: MemoryCopy;
  landing: Landing;
  exchange: Exchange;
  end: End;
  lane: Lane;
  claim: Claim;
  acceptance: Acceptance;
  tick: Tick;
  setting: Setting;
  route: Route;
  helper: HelperObject;
  expectation: Expectation;
}
export type Entity = EntityOf[Kind];

/** The word for a kind in a sentence. */
export const KIND_WORDS: Record<Kind, string> = {
  project: 'project',
  profile: 'profile',
  station: 'station',
  rack: 'rack',
  module: 'module',
  network: 'network',
  port: 'port',
  area: 'area',
  structure: 'structure',
  series: 'series of tags',
  import: 'import',
  tag: 'tag',
  copy: 'copy',
  landing: 'landing',
  exchange: 'exchange',
  end: 'end',
  lane: 'lane',
  claim: 'claim',
  acceptance: 'acceptance',
  tick: 'tick',
  setting: 'setting',
  route: 'route',
  helper: 'helper object',
  expectation: 'expectation',
};

export const PROJECT_ID = 'project';

export function isKind(text: unknown): text is Kind {
  return typeof text === 'string' && (KINDS as readonly string[]).includes(text);
}
