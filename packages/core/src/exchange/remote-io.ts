import { put, set } from '../change/make.js';
import type { Change } from '../change/change.js';
import { isTyped } from '../model/as-typed.js';
import type { Area } from '../model/area.js';
import type { Claim, Place } from '../model/claim.js';
import { newArea, newView } from '../create/new-entities.js';
import type { End } from '../model/end.js';
import type { Exchange } from '../model/exchange.js';
import type { Landing } from '../model/landing.js';
import type { Lane } from '../model/lane.js';
import type { Module } from '../model/module.js';
import { childrenOf, orderAfter } from '../model/order.js';
import { sameValue, withoutUnmade } from './made-lanes.js';
import type { Reader } from '../model/project.js';

type What = 'inputs' | 'outputs';

/** One module's inputs or outputs as its landing says, and where they lie in the head's own image, in bytes. */
interface Wanted {
  madeBy: string;
  landing: Landing;
  module: Module;
  what: What;
  bytes: number;
  offset: number;
}

/**
 * The changes that make the lanes of remote I/O what the landings say: one lane for the inputs of a module, one for its
 * outputs. The head's own image is the bytes of its modules, slot after slot. A lane keeps what was typed into it
 * besides; one whose landing is gone goes, too. Nothing where all lanes follow already.
 */
export function lanesFromLandings(project: Reader, exchange: Exchange, newId: () => string): Change[] {
  const ends = childrenOf(project, 'end', exchange.id);
  const head = ends.find((e) => e.calling === 'listens');
  const controllers = ends.filter((e) => e !== head);
  if (!head || controllers.length === 0) return [];
  const changes: Change[] = [];
  const images = { inputs: imageOf(project, head, 'inputs', newId), outputs: imageOf(project, head, 'outputs', newId) };
  const lanes = new Map(childrenOf(project, 'lane', exchange.id).map((lane) => [lane.madeBy ?? '', lane]));
  const kept = new Set<string>();
  const used = new Set<What>();
  for (const [i, wanted] of controllers.flatMap((end) => wantedOf(project, end, head)).entries()) {
    const end = controllers.find((e) => e.station === wanted.landing.station)!;
    const lane = lanes.get(wanted.madeBy);
    kept.add(wanted.madeBy);
    used.add(wanted.what);
    const image = images[wanted.what].area;
    const theirs: Place = { area: image.id, view: 'bytes', number: wanted.offset };
    if (lane) changes.push(...followed(project, lane, end, head, wanted, theirs));
    else changes.push(...made(exchange, (i + 1) * 10, end, head, wanted, theirs, newId));
  }
  changes.push(...withoutUnmade(project, lanes.values(), 'landing ', kept));
  const areas = [...used].flatMap((what) => images[what].changes);
  return [...areas, ...changes];
}

/** Every input and output that a controller claims in the head's racks; a listener takes the inputs only. */
function wantedOf(project: Reader, controller: End, head: End): Wanted[] {
  const modules = childrenOf(project, 'rack', head.station)
    .flatMap((rack) => childrenOf(project, 'module', rack.id))
    .sort((a, b) => (a.slot ?? Infinity) - (b.slot ?? Infinity));
  const next = { inputs: 0, outputs: 0 };
  const wanted: Wanted[] = [];
  for (const module of modules) {
    const landing = childrenOf(project, 'landing', module.id).find((l) => l.station === controller.station);
    for (const what of ['inputs', 'outputs'] as const) {
      const offset = next[what];
      next[what] += module[what];
      const place = landing?.[`${what}At`];
      if (!landing || !place || isTyped(place) || (what === 'outputs' && landing.role === 'listener')) continue;
      const bytes = landing[what] ?? module[what];
      if (bytes > 0) wanted.push({ madeBy: `landing ${landing.id} ${what}`, landing, module, what, bytes, offset });
    }
  }
  return wanted;
}

/** The head's image of its modules' inputs or outputs, and what makes it where it is not there yet or too small. */
function imageOf(project: Reader, head: End, what: What, newId: () => string): { area: Area; changes: Change[] } {
  const kind = what === 'inputs' ? 'input image' : 'output image';
  const total = childrenOf(project, 'rack', head.station)
    .flatMap((rack) => childrenOf(project, 'module', rack.id))
    .reduce((sum, module) => sum + module[what], 0);
  const words = Math.max(1, total);
  const areas = childrenOf(project, 'area', head.station);
  const known = areas.find((a) => a.kind === kind && a.wordBits === 8 && a.views.bytes);
  if (known) return { area: known, changes: known.words < words ? [set('area', known, ['words'], words)] : [] };
  const area: Area = {
    ...newArea(
      newId(),
      orderAfter(areas),
      head.station,
      what === 'inputs' ? 'Inputs of modules' : 'Outputs of modules',
    ),
    kind,
    wordBits: 8,
    words,
    writers: what === 'inputs' ? ['firmware'] : [],
    views: { bytes: newView(10, 'byte offset') },
  };
  return { area, changes: [put('area', area)] };
}

function made(
  exchange: Exchange,
  order: number,
  end: End,
  head: End,
  wanted: Wanted,
  theirs: Place,
  newId: () => string,
): Change[] {
  const lane: Lane = { id: newId(), order, exchange: exchange.id, items: {}, madeBy: wanted.madeBy };
  const claim = (at: End, direction: Claim['direction'], place: Place): Claim => ({
    id: newId(),
    lane: lane.id,
    end: at.id,
    name: wanted.module.name || wanted.module.kind,
    direction,
    place,
    length: { count: wanted.bytes, unit: 8 },
    type: { base: 'BYTE', count: wanted.bytes },
    swap: null,
    items: {},
    toldPlace: null,
  });
  const reads = wanted.what === 'inputs';
  return [
    put('lane', lane),
    put('claim', claim(end, reads ? 'reads' : 'writes', wanted.landing[`${wanted.what}At`] as Place)),
    put('claim', claim(head, reads ? 'writes' : 'reads', theirs)),
  ];
}

/** A lane that is there already: places and lengths as the landing has them now. */
function followed(project: Reader, lane: Lane, end: End, head: End, wanted: Wanted, theirs: Place): Change[] {
  const length = { count: wanted.bytes, unit: 8 };
  return childrenOf(project, 'claim', lane.id).flatMap((claim) => {
    const place = claim.end === end.id ? wanted.landing[`${wanted.what}At`] : claim.end === head.id ? theirs : null;
    if (!place) return [];
    return [
      ...(sameValue(claim.place, place) ? [] : [set('claim', claim, ['place'], place)]),
      ...(sameValue(claim.length, length) ? [] : [set('claim', claim, ['length'], length)]),
      ...(claim.type === null || sameValue(claim.type, { base: 'BYTE', count: wanted.bytes }) || isTyped(claim.type)
        ? []
        : [set('claim', claim, ['type'], { base: 'BYTE', count: wanted.bytes })]),
    ];
  });
}
