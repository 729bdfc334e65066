import { put, set } from '../change/make.js';
import type { Change } from '../change/change.js';
import { memoryOf } from '../place/memory.js';
import type { Area } from '../model/area.js';
import type { Claim, Length, Place, TypeRef } from '../model/claim.js';
import { newArea } from '../create/new-entities.js';
import type { End } from '../model/end.js';
import type { Exchange } from '../model/exchange.js';
import type { Lane } from '../model/lane.js';
import type { Module } from '../model/module.js';
import { childrenOf, orderAfter } from '../model/order.js';
import type { Reader } from '../model/project.js';
import { sameValue, withoutUnmade } from './made-lanes.js';
import { radioPlaceOf } from '../wiring/radio-block.js';

type What = 'inputs' | 'outputs';

/** A module of a radio unit whose dial says where its base keeps it. */
interface Dialled {
  madeBy: string;
  unit: End;
  module: Module;
  what: What;
  length: Length;
  type: TypeRef;
  /** words of the unit's own image before it */
  offset: number;
  place: Place;
}

const VIEW = 'words';

/**
 * The changes that make the lanes of radio-mirrored I/O what the dials say: one for each module of a unit, from the unit's
 * own image to the registers of its base that follow from kind and dial, or the other way for outputs. A lane keeps what
 * was typed into it besides; one whose module is gone, or whose dial says nothing any more, goes.
 */
export function lanesFromDials(project: Reader, exchange: Exchange, newId: () => string): Change[] {
  const ends = childrenOf(project, 'end', exchange.id);
  const changes: Change[] = [];
  const lanes = new Map(childrenOf(project, 'lane', exchange.id).map((lane) => [lane.madeBy ?? '', lane]));
  const kept = new Set<string>();
  let order = orderAfter(lanes.values());
  for (const unit of ends) {
    const images = {
      inputs: imageOf(project, unit, 'inputs', newId),
      outputs: imageOf(project, unit, 'outputs', newId),
    };
    const dialled = dialledOf(project, unit, ends);
    for (const what of ['inputs', 'outputs'] as const) {
      if (dialled.some((one) => one.wanted.what === what)) changes.push(...images[what].changes);
    }
    for (const { wanted, base } of dialled) {
      kept.add(wanted.madeBy);
      const own: Place = { area: images[wanted.what].area.id, view: VIEW, number: wanted.offset };
      const lane = lanes.get(wanted.madeBy);
      if (lane) changes.push(...followed(project, lane, base, wanted, own));
      else changes.push(...made(exchange, order, base, wanted, own, newId));
      order += 10;
    }
  }
  changes.push(...withoutUnmade(project, lanes.values(), 'dial ', kept));
  return changes;
}

function dialledOf(project: Reader, unit: End, ends: readonly End[]): { wanted: Dialled; base: End }[] {
  const next = { inputs: 0, outputs: 0 };
  const modules = childrenOf(project, 'rack', unit.station)
    .flatMap((rack) => childrenOf(project, 'module', rack.id))
    .sort((a, b) => (a.slot ?? Infinity) - (b.slot ?? Infinity));
  return modules.flatMap((module) => {
    const at = radioPlaceOf(project, module);
    const base = ends.find((end) => end.station === at?.base && end.id !== unit.id);
    const area = base && at ? areaWith(project, base.station, at.table) : null;
    return (['inputs', 'outputs'] as const).flatMap((what) => {
      const offset = next[what];
      const bytes = module[what];
      next[what] += Math.ceil(bytes / 2);
      if (bytes === 0 || !at || !base || !area) return [];
      const digital = module.kind.startsWith('digital');
      const type: TypeRef = digital ? { base: 'BOOL', count: bytes * 8 } : { base: 'INT', count: Math.ceil(bytes / 2) };
      const place: Place = { ...area, number: at.first };
      const length: Length = digital ? { count: bytes, unit: 8 } : { count: Math.ceil(bytes / 2), unit: 16 };
      return [
        { base, wanted: { madeBy: `dial ${module.id} ${what}`, unit, module, what, length, type, offset, place } },
      ];
    });
  });
}

/** The area of the base, and its view, in which references of this table are counted from 1. */
function areaWith(project: Reader, station: string, table: string): { area: string; view: string } | null {
  for (const { id } of childrenOf(project, 'area', station)) {
    const view = memoryOf(project, id)?.views.find(([, v]) => v.table === table && v.first === 1);
    if (view) return { area: id, view: view[0] };
  }
  return null;
}

/** A unit's own image, in words; and what makes it where it is not there yet, or too small. */
function imageOf(project: Reader, unit: End, what: What, newId: () => string): { area: Area; changes: Change[] } {
  const kind = what === 'inputs' ? 'input image' : 'output image';
  const words = childrenOf(project, 'rack', unit.station)
    .flatMap((rack) => childrenOf(project, 'module', rack.id))
    .reduce((sum, module) => sum + Math.ceil(module[what] / 2), 0);
  const areas = childrenOf(project, 'area', unit.station);
  const known = areas.find((a) => a.kind === kind && a.views[VIEW]);
  if (known) return { area: known, changes: known.words < words ? [set('area', known, ['words'], words)] : [] };
  const area: Area = {
    ...newArea(
      newId(),
      orderAfter(areas),
      unit.station,
      what === 'inputs' ? 'Inputs of modules' : 'Outputs of modules',
    ),
    kind,
    wordBits: 16,
    words: Math.max(1, words),
    writers: what === 'inputs' ? ['firmware'] : [],
    views: {
      [VIEW]: {
        order: 10,
        name: 'words',
        notation: 'prefix and number',
        unit: 16,
        first: 0,
        prefix: what === 'inputs' ? 'IW' : 'QW',
      },
    },
  };
  return { area, changes: [put('area', area)] };
}

function made(
  exchange: Exchange,
  order: number,
  base: End,
  wanted: Dialled,
  own: Place,
  newId: () => string,
): Change[] {
  const lane: Lane = { id: newId(), order, exchange: exchange.id, items: {}, madeBy: wanted.madeBy };
  const claim = (end: End, direction: 'writes' | 'reads', place: Place): Claim => ({
    id: newId(),
    lane: lane.id,
    end: end.id,
    name: wanted.module.name || wanted.module.kind,
    direction,
    place,
    length: wanted.length,
    type: wanted.type,
    swap: null,
    items: {},
    toldPlace: null,
  });
  const from = wanted.what === 'inputs';
  return [
    put('lane', lane),
    put('claim', claim(wanted.unit, from ? 'writes' : 'reads', own)),
    put('claim', claim(base, from ? 'reads' : 'writes', wanted.place)),
  ];
}

/** A lane that is there already: places and lengths as the dials have them now. */
function followed(project: Reader, lane: Lane, base: End, wanted: Dialled, own: Place): Change[] {
  return childrenOf(project, 'claim', lane.id).flatMap((claim) => {
    const place = claim.end === base.id ? wanted.place : claim.end === wanted.unit.id ? own : null;
    if (!place) return [];
    return [
      ...(sameValue(claim.place, place) ? [] : [set('claim', claim, ['place'], place)]),
      ...(sameValue(claim.length, wanted.length) ? [] : [set('claim', claim, ['length'], wanted.length)]),
    ];
  });
}
