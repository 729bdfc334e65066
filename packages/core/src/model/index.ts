/**
 * The entities of a project, the words they are said in, and the project that ties them together: immutable, read through a
 * `Reader`.
 */
export { Area } from './area.js';
export { isTyped } from './as-typed.js';
export { Claim, IN_TAG, Place } from './claim.js';
export { End } from './end.js';
export { Exchange, OnLoss } from './exchange.js';
export { digestOf } from './digest.js';
export { Expectation } from './expectation.js';
export { FoundDevice } from './found-device.js';
export { TemporaryThing } from './temporary-thing.js';
export { HelperObject } from './helper-object.js';
export { type Entity, type EntityOf, isKind, type Kind, kindWord, kindWords, KINDS, PROJECT_ID } from './kinds.js';
export { Landing } from './landing.js';
export { Lane } from './lane.js';
export { ASSUMED_LAYOUT } from './layout-defaults.js';
export { LayoutRule } from './layout-rule.js';
export { MemoryCopy } from './memory-copy.js';
export { Module } from './module.js';
export { Network } from './network.js';
export { childrenOf, inOrder, orderAfter } from './order.js';
export { PointRecord } from './point-record.js';
export { Port } from './port.js';
export { type Problem, problemSentence, quoted } from './problem.js';
export { Profile } from './profile.js';
export { type EntityChange, Project, type Reader } from './project.js';
export { Rack } from './rack.js';
export { nameKey, ownerOf, referencesOf } from './references.js';
export { Route } from './route.js';
export { Station } from './station.js';
export { Structure } from './structure.js';
export { Table } from './table.js';
export { TagImport } from './tag-import.js';
export { TagSeries } from './tag-series.js';
export { Tag } from './tag.js';
export { View } from './view.js';
export {
  type Access,
  ACCESSES,
  type Alignment,
  ALIGNMENTS,
  type Binding,
  BINDINGS,
  BOOL_PACKINGS,
  BYTE_ORDERS,
  CHARACTER_SIZES,
  type ExchangeKind,
  MODULE_KINDS,
  type ModuleKind,
  NUMBERINGS,
  type Party,
  type PointView,
  POLARITIES,
  type Presence,
  REFERENCE_FIELDS,
  REGISTER_ORDERS,
  type Role,
  RUN_STATES,
  SIGNAL_KINDS,
  STRING_HEADERS,
  SWAPS,
  type ToldFieldName,
  type Traffic,
  TRAFFICS,
} from './words.js';
