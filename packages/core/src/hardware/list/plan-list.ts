import { apply } from '../../change/apply.js';
import type { Change } from '../../change/change.js';
import { put, set } from '../../change/make.js';
import { childrenOf, inOrder, orderAfter } from '../../model/order.js';
import type { Module, SeenModule } from '../../model/module.js';
import type { Project } from '../../model/project.js';
import type { Station } from '../../model/station.js';
import type { Rack } from '../../model/rack.js';
import { isInRack, lastSlot, placeFault } from '../../rack/slots.js';
import { landingsFor } from './landings.js';
import type { ListRow } from './list-rows.js';
import { listedStations } from './listed-stations.js';

/** What becomes of one module of the list. */
export interface ListedModule {
  row: ListRow;
  what: 'added' | 'changed' | 'unchanged';
  station: string;
  /** as it will be */
  module: Module;
  /** what differs from the plan, in words; empty: nothing */
  differs: readonly string[];
}

export interface ListPlan {
  modules: readonly ListedModule[];
  aside: readonly ListRow[];
  /** rows that cannot be taken in, each with its sentence */
  faults: readonly { row: ListRow; sentence: string }[];
  /** planned modules of the stations named that the list does not have */
  dropped: readonly { module: Module; station: string }[];
  /** stations that were not there yet */
  stations: readonly Station[];
  /** new racks for stations that have none */
  racks: readonly Rack[];
  changes: Change[];
}

/**
 * The list against the plan. A row with a slot is the module of that slot; one without is the next planned module of its
 * order code, or a new one. What is planned is not overwritten: the list's code and revision are kept beside it, so that a
 * difference is found. Modules that the list lacks stay; they are named.
 */
export function planList(project: Project, rows: readonly ListRow[], source: string, newId: () => string): ListPlan {
  const { byName: stations, made: fresh, changes: begun } = listedStations(project, rows, newId);
  const faults: { row: ListRow; sentence: string }[] = [];
  const modules: ListedModule[] = [];
  const racks = new Map<string, Rack>();
  const used = new Set<string>();
  const slots = new Map<string, number>();

  for (const row of rows) {
    if (row.aside !== null) continue;
    if (row.fault !== null) {
      faults.push({ row, sentence: row.fault });
      continue;
    }
    const station = stations.get(row.station.toLowerCase())!;
    if (row.owner !== '' && !stations.has(row.owner.toLowerCase())) {
      const known = inOrder(project, 'station').map(({ name }) => name);
      const sentence = `its owner “${row.owner}” is no station; there are ${known.slice(0, 6).join(', ') || 'none yet'}`;
      faults.push({ row, sentence });
      continue;
    }
    const rack = racks.get(station.id) ?? childrenOf(project, 'rack', station.id)[0] ?? newRack(station.id, newId());
    racks.set(station.id, rack);
    const planned = childrenOf(project, 'module', rack.id);
    for (let i = 0; i < row.quantity; i++) {
      const slot = row.slot === null ? null : row.slot + i;
      const fault = slot === null ? null : slotFault(rack, row, slot, slots.get(`${rack.id} ${slot}`));
      if (fault !== null) {
        faults.push({ row, sentence: fault });
        break;
      }
      if (slot !== null) slots.set(`${rack.id} ${slot}`, row.line);
      const match = planned.find((m) => !used.has(m.id) && (slot === null ? isOf(m, row) : m.slot === slot));
      if (match) used.add(match.id);
      modules.push(listed(match, row, rack, slot, station.name, source, newId, planned.length + modules.length));
    }
  }
  const touched = [...racks.values()].flatMap((rack) =>
    childrenOf(project, 'module', rack.id).map((m) => ({ rack, m })),
  );
  const dropped = touched
    .filter(({ m }) => !used.has(m.id))
    .map(({ rack, m }) => ({ module: m, station: project.get('station', rack.station)?.name ?? '' }));
  const slotsOf = ({ station }: Rack): number => {
    const named = (row: ListRow) => stations.get(row.station.toLowerCase())?.id === station;
    return rows.find((row) => row.slots !== null && named(row))?.slots ?? 0;
  };
  const sized = [...racks.values()]
    .filter((rack) => !project.get('rack', rack.id))
    .map((rack) => ({ ...rack, size: sizeFor(rack, modules, slotsOf(rack)) }));
  const changes = [
    ...begun,
    ...sized.map((rack) => put('rack', rack)),
    ...modules.flatMap((m) => changesFor(project, m)),
  ];
  const after = apply(project, { id: 'list', label: '', changes });
  const owned = modules.flatMap(({ row, module }) => {
    const owner = stations.get(row.owner.toLowerCase());
    return owner ? [{ row, module, owner: owner.id }] : [];
  });
  const landings = after.ok ? landingsFor(project.with(after.entities), owned, newId) : [];
  return {
    modules,
    aside: rows.filter((row) => row.aside !== null),
    faults,
    dropped,
    racks: sized,
    stations: fresh,
    changes: [...changes, ...landings],
  };
}

const isOf = (module: Module, row: ListRow): boolean =>
  row.orderCode !== '' && (module.listed?.orderCode ?? module.orderCode) === row.orderCode;

function slotFault(rack: Rack, row: ListRow, slot: number, taken: number | undefined): string | null {
  if (taken !== undefined) return `slot ${slot} of ${row.station} is given to row ${taken}, too`;
  if (rack.size > 0 && !isInRack(rack, slot)) {
    return `slot ${slot} does not exist: the rack of ${row.station} has slots ${rack.first} to ${lastSlot(rack)}`;
  }
  const fault = rack.size > 0 ? placeFault(rack, row, slot) : null;
  return fault === null ? null : `${row.description || row.orderCode} cannot go into slot ${slot}: ${fault}`;
}

/** A rack whose size comes from what is put into it. */
const newRack = (station: string, id: string): Rack => ({
  id,
  order: 10,
  name: 'Rack',
  station,
  size: 0,
  first: 0,
  gaps: true,
  zones: {},
  takes: [],
});

const sizeFor = (rack: Rack, modules: readonly ListedModule[], said: number): number => {
  const own = modules.filter((m) => m.module.rack === rack.id);
  return Math.max(said || 8, own.length, ...own.map((m) => (m.module.slot ?? 0) + 1));
};

function listed(
  match: Module | undefined,
  row: ListRow,
  rack: Rack,
  slot: number | null,
  station: string,
  source: string,
  newId: () => string,
  position: number,
): ListedModule {
  const seen: SeenModule = { orderCode: row.orderCode, revision: row.revision, source };
  if (!match) {
    const module: Module = {
      id: newId(),
      order: orderAfter([]) + position * 10,
      name: row.description || row.orderCode,
      rack: rack.id,
      slot,
      kind: row.kind,
      orderCode: row.orderCode,
      inputs: row.inputs ?? 0,
      outputs: row.outputs ?? 0,
      listed: seen,
      ...(row.dial === '' ? {} : { dial: row.dial, ...(row.dialRead === null ? {} : { dialRead: row.dialRead }) }),
    };
    return { row, what: 'added', station, module, differs: [] };
  }
  const differs = [
    match.orderCode !== row.orderCode && row.orderCode !== ''
      ? `planned ${match.orderCode}, listed ${row.orderCode}`
      : '',
    (match.listed?.revision ?? '') !== row.revision ? `listed revision ${row.revision || 'none'}` : '',
    row.inputs !== null && row.inputs !== match.inputs ? `${row.inputs} bytes in, planned ${match.inputs}` : '',
    row.outputs !== null && row.outputs !== match.outputs ? `${row.outputs} bytes out, planned ${match.outputs}` : '',
  ].filter((words) => words !== '');
  const same = match.listed?.orderCode === row.orderCode && match.listed.revision === row.revision;
  const module = same ? match : { ...match, listed: seen };
  return { row, what: same ? 'unchanged' : 'changed', station, module, differs };
}

function changesFor(project: Project, { what, module }: ListedModule): Change[] {
  if (what === 'added') return [put('module', module)];
  const known = project.get('module', module.id);
  return what === 'changed' && known ? [set('module', known, ['listed'], module.listed)] : [];
}
