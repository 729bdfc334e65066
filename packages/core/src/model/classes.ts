import { Acceptance } from './acceptance.js';
import { Area } from './area.js';
import { Claim } from './claim.js';
import { End } from './end.js';
import { Exchange } from './exchange.js';
import { Expectation } from './expectation.js';
import { HelperObject } from './helper-object.js';
import type { Kind } from './kinds.js';
import { Landing } from './landing.js';
import { Lane } from './lane.js';
import { MemoryCopy } from './memory-copy.js';
import { Module } from './module.js';
import { Network } from './network.js';
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
import { Tick } from './tick.js';

/** The class that guards each kind of entity where it enters. */
export const CLASSES: Record<Kind, new () => object> = {
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
};
