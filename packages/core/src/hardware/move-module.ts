import { formatRange } from '../place/format-address.js';
import { memoryOf } from '../place/memory.js';
import { resolve } from '../place/resolve.js';
import { lengthBits } from '../place/length.js';
import type { Change } from '../change/change.js';
import { put, set } from '../change/make.js';
import { elementary } from '../data/types.js';
import { isTyped, readable } from '../model/as-typed.js';
import type { Place } from '../model/claim.js';
import type { Landing } from '../model/landing.js';
import { childrenOf, orderAfter } from '../model/order.js';
import type { Module } from '../model/module.js';
import type { Project } from '../model/project.js';
import type { Rack } from '../model/rack.js';
import { landedOf, spansMeet, type Landed } from '../rack/landed.js';
import { isInRack, placeFault, slotName } from '../rack/slots.js';

/** A module that gets another slot because of an insertion or a move. */
export interface SlotMove {
  module: Module;
  from: number | null;
  to: number;
}

/** A range of a controller's image that moves with it. */
export interface RangeMove {
  landing: Landing;
  field: Landed['field'];
  before: string;
  after: string;
  place: Place;
  bytes: number;
}

/** A claim whose data lies in a range that moves, or a tag that the list has there. */
export interface Bound {
  of: 'claim' | 'tag';
  id: string;
  /** the lane or the tag */
  name: string;
  /** the exchange, or the station whose list it is */
  where: string;
  /** its address now, and where the same data lies afterwards */
  before: string;
  after: string;
  place: Place;
  /** which module is at its present address afterwards; null: none */
  writer: string | null;
}

/** What an insertion or a move does, before it is done. */
export interface MovePlan {
  moves: readonly SlotMove[];
  ranges: readonly RangeMove[];
  bound: readonly Bound[];
  /** the change set; with `along`, what is bound moves with its module */
  changes: (along: boolean) => Change[];
}

/**
 * Puts a module into a slot. What stands there, and what follows it without a gap, moves up by one. A module of this
 * rack that is moved leaves its slot first. The reason where it cannot be done: no room, or a zone for other kinds.
 */
export function planMove(
  project: Project,
  rack: Rack,
  module: Module,
  slot: number,
  newLanding: string,
): MovePlan | string {
  const own = placeFault(rack, module, slot);
  if (own !== null) return own;
  const others = childrenOf(project, 'module', rack.id).filter((m) => m.id !== module.id);
  const at = new Map(others.flatMap((m) => (m.slot === null ? [] : [[m.slot, m] as const])));
  const moves: SlotMove[] = [{ module, from: module.slot, to: slot }];
  for (let next = slot; at.has(next); next++) {
    const pushed = at.get(next)!;
    const to = next + 1;
    if (!isInRack(rack, to)) return `no slot is free behind slot ${slotName(rack, slot)}`;
    const fault = placeFault(rack, pushed, to);
    if (fault !== null) return `${pushed.name || pushed.kind} cannot move up to slot ${slotName(rack, to)}: ${fault}`;
    moves.push({ module: pushed, from: pushed.slot, to });
  }
  const slotOf = new Map(moves.map((m) => [m.module.id, m.to]));
  const fresh = project.get('module', module.id) === undefined;
  const added = fresh ? landingLikeNeighbours(project, rack, module, slot, newLanding) : null;
  const ranges = rack.addressesFollow ? rangesAfter(project, rack, slotOf, module, added) : [];
  const bound = boundTo(project, ranges);
  return {
    moves,
    ranges,
    bound,
    changes: (along) => [
      ...(fresh ? [put('module', { ...module, slot })] : []),
      ...moves.filter((m) => project.get('module', m.module.id)).map((m) => set('module', m.module, ['slot'], m.to)),
      ...(added ? [put('landing', withRange(added, ranges))] : []),
      ...landingChanges(project, slotOf, ranges),
      ...(along ? bound.map((one) => set(one.of, project.get(one.of, one.id)!, ['place'], one.place)) : []),
    ],
  };
}

/** Whoever owns what stood in the slot, or before it, owns the new module, too: it is of the same row of addresses. */
function landingLikeNeighbours(project: Project, rack: Rack, module: Module, slot: number, id: string): Landing | null {
  const modules = childrenOf(project, 'module', rack.id);
  const near = [slot, slot - 1].flatMap((s) => modules.filter((m) => m.slot === s));
  const model = near
    .flatMap((m) => childrenOf(project, 'landing', m.id))
    .find((l) => l.role === 'owner' && (l.inputsAt !== null || l.outputsAt !== null));
  if (!model) return null;
  return {
    id,
    order: orderAfter(childrenOf(project, 'landing', model.station)),
    station: model.station,
    module: module.id,
    role: 'owner',
    inputsAt: null,
    outputsAt: null,
    slot,
    inputs: module.inputs,
    outputs: module.outputs,
    orderCode: module.orderCode,
    accepted: '',
  };
}

const withRange = (landing: Landing, ranges: readonly RangeMove[]): Landing =>
  ranges
    .filter((r) => r.landing.id === landing.id)
    .reduce<Landing>((known, r) => ({ ...known, [r.field]: r.place }), landing);

function landingChanges(project: Project, slotOf: ReadonlyMap<string, number>, ranges: readonly RangeMove[]): Change[] {
  const slots = [...slotOf].flatMap(([module, slot]) =>
    childrenOf(project, 'landing', module)
      .filter((l) => l.slot !== null && l.slot !== slot)
      .map((l) => set('landing', l, ['slot'], slot)),
  );
  const moved = ranges
    .filter((r) => project.get('landing', r.landing.id))
    .map((r) => set('landing', r.landing, [r.field], r.place));
  return [...slots, ...moved];
}

/** Ranges laid anew, one after the other in the order of the slots, from where the first of them lies now. */
function rangesAfter(
  project: Project,
  rack: Rack,
  slotOf: ReadonlyMap<string, number>,
  inserted: Module,
  added: Landing | null,
): RangeMove[] {
  const modules = childrenOf(project, 'module', rack.id).filter((m) => m.id !== inserted.id);
  const inOrder = [...modules, inserted]
    .map((module) => ({ module, slot: slotOf.get(module.id) ?? module.slot }))
    .filter((m): m is { module: Module; slot: number } => m.slot !== null)
    .sort((a, b) => a.slot - b.slot);
  const landings = [
    ...[...modules, inserted].flatMap((m) => childrenOf(project, 'landing', m.id)),
    ...(added ? [added] : []),
  ];
  const moves: RangeMove[] = [];
  for (const station of new Set(landings.map((l) => l.station))) {
    for (const field of ['inputsAt', 'outputsAt'] as const) {
      const row = inOrder.flatMap(({ module }) => {
        const landing = landings.find((l) => l.station === station && l.module === module.id);
        const what = field === 'inputsAt' ? 'inputs' : 'outputs';
        const bytes = landing ? (landing[what] ?? module[what]) : 0;
        const place = landing?.[field] ?? null;
        const placed = place !== null && !isTyped(place) ? place : null;
        return landing && bytes > 0 && (placed || landing === added) ? [{ landing, bytes, place: placed }] : [];
      });
      const known = row.flatMap(({ place }) => place ?? []);
      const first = known.reduce<Place | null>((a, b) => (a === null || b.number < a.number ? b : a), null);
      const memory = first && memoryOf(project, first.area);
      if (!first || !memory) continue;
      const unit = memory.views.find(([id]) => id === first.view)?.[1].unit ?? 8;
      let number = first.number;
      for (const { landing, bytes, place } of row) {
        const next: Place = { ...first, number };
        number += Math.ceil((bytes * 8) / unit);
        if (place?.number === next.number) continue;
        const range = (at: Place) => formatRange(memory, at, bytes * 8);
        moves.push({ landing, field, before: place ? range(place) : '', after: range(next), place: next, bytes });
      }
    }
  }
  return moves;
}

/**
 * Tags and claims whose place lies in a range that moves, with where their data is afterwards and who is at their address
 * then; tags first, since whoever reads them by name sees no address.
 */
function boundTo(project: Project, ranges: readonly RangeMove[]): Bound[] {
  const bound: Bound[] = [];
  for (const move of ranges) {
    const [old] = landedOf(project, move.landing).filter((l) => l.field === move.field);
    const memory = old && memoryOf(project, old.area);
    const before = move.landing[move.field];
    if (!old || !memory || !before || isTyped(before)) continue;
    for (const { bits, place: at, ...one } of placedIn(project, old.area)) {
      const spans = resolve(memory, at, bits);
      if (!spans || !spansMeet(spans, old.spans) || at.view !== before.view) continue;
      const place = { ...at, number: at.number + move.place.number - before.number };
      const then = ranges.find((r) => {
        const after = resolve(memory, r.place, r.bytes * 8);
        return r.field === move.field && after !== null && spansMeet(after, spans);
      });
      const module = then && project.get('module', then.landing.module);
      bound.push({
        ...one,
        before: formatRange(memory, at, bits),
        after: formatRange(memory, place, bits),
        place,
        writer: then ? module?.name || 'the new module' : null,
      });
    }
  }
  return bound;
}

/** Everything that has a place in an area: tags of the list, then claims. */
function placedIn(
  project: Project,
  area: string,
): (Pick<Bound, 'of' | 'id' | 'name' | 'where' | 'place'> & { bits: number })[] {
  const tags = project.referrers('tag', area).flatMap((id) => {
    const tag = project.get('tag', id);
    const [place, type] = [readable(tag?.place), readable(tag?.type)];
    const bits = type ? (elementary(type.base)?.bits ?? 0) * type.count : 0;
    const where = tag ? (project.get('station', tag.station)?.name ?? '') : '';
    return tag && place?.area === area && bits > 0
      ? [{ of: 'tag' as const, id, name: tag.name, where, place, bits }]
      : [];
  });
  const claims = project.referrers('claim', area).flatMap((id) => {
    const claim = project.get('claim', id);
    const [place, length] = [readable(claim?.place), readable(claim?.length)];
    const exchange = claim && project.get('exchange', project.get('lane', claim.lane)?.exchange ?? '');
    if (!claim || !place || !length) return [];
    return [
      { of: 'claim' as const, id, name: claim.name, where: exchange?.name ?? '', place, bits: lengthBits(length) },
    ];
  });
  return [...tags, ...claims];
}
