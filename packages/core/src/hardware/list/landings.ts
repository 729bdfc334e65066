import { apply } from '../../change/apply.js';
import type { Change } from '../../change/change.js';
import { put, set } from '../../change/make.js';
import { nextFree } from '../../lane/occupancy.js';
import { usesBeside } from '../../lane/uses-beside.js';
import type { AsTyped } from '../../model/as-typed.js';
import type { Place } from '../../model/claim.js';
import type { Landing } from '../../model/landing.js';
import type { Module } from '../../model/module.js';
import { childrenOf, orderAfter } from '../../model/order.js';
import type { Project } from '../../model/project.js';
import { spanAddresses } from '../../place/format-address.js';
import { memoriesOf, type Memory } from '../../place/memory.js';
import { parseAddress } from '../../place/parse-address.js';
import type { Span } from '../../place/resolve.js';
import { landedOf } from '../../rack/landed.js';
import type { ListRow } from './list-rows.js';

type What = 'inputs' | 'outputs';

/**
 * What the owner of each listed module says of it: role, slot, sizes, order code, accepted revisions, and where it lands in
 * the owner's images. Without an address that is the next free place there, module after module, and the rack's addresses
 * follow from its slots from then on. A module that the owner claims already keeps what is said of it.
 */
export function landingsFor(
  project: Project,
  listed: readonly { row: ListRow; module: Module; owner: string }[],
  newId: () => string,
): Change[] {
  const changes: Change[] = [];
  let now = project;
  const take = (more: readonly Change[]) => {
    changes.push(...more);
    const applied = apply(now, { id: 'landings', label: '', changes: more });
    if (applied.ok) now = now.with(applied.entities);
  };
  const following = new Set<string>();
  for (const { row, module, owner } of listed) {
    if (childrenOf(now, 'landing', module.id).some((landing) => landing.station === owner)) continue;
    const at = (what: What): Place | AsTyped | null => {
      if (module[what] === 0) return null;
      const typed = what === 'inputs' ? row.inputsAt : row.outputsAt;
      if (typed === '') return freePlace(now, owner, module[what], what);
      const read = parseAddress(typed, memoriesOf(now, owner));
      return read.ok ? read.value : { typed };
    };
    const [inputsAt, outputsAt] = [at('inputs'), at('outputs')];
    const taken = childrenOf(now, 'landing', module.id).some(({ role }) => role === 'owner');
    const landing: Landing = {
      id: newId(),
      order: orderAfter(childrenOf(now, 'landing', owner)),
      station: owner,
      module: module.id,
      role: taken ? 'listener' : 'owner',
      inputsAt,
      outputsAt,
      slot: module.slot,
      inputs: module.inputs,
      outputs: module.outputs,
      orderCode: row.orderCode || module.orderCode,
      accepted: row.accepts || row.revision,
    };
    take([put('landing', landing)]);
    if (row.inputsAt === '' && row.outputsAt === '' && module.slot !== null && (inputsAt ?? outputsAt))
      following.add(module.rack);
  }
  for (const id of following) {
    const rack = now.get('rack', id);
    if (rack && !rack.addressesFollow) take([set('rack', rack, ['addressesFollow'], true)]);
  }
  return changes;
}

/** The next place of the owner's image that nothing lies in; null where it has none with room. */
function freePlace(project: Project, owner: string, bytes: number, what: What): Place | null {
  const kind = what === 'inputs' ? 'input image' : 'output image';
  for (const memory of memoriesOf(project, owner)) {
    if (memory.area.kind !== kind) continue;
    const start = nextFree(memory.area, usedOf(project, owner, memory));
    if (start === null || start + bytes * 8 > memory.bits) continue;
    const { first } = spanAddresses(memory, { start, end: start + bytes * 8 });
    const read = parseAddress(first, [memory]);
    if (read.ok) return read.value;
  }
  return null;
}

const usedOf = (project: Project, owner: string, { area }: Memory): Span[] => [
  ...usesBeside(project, area.id, new Set()).flatMap(({ spans }) => spans),
  ...childrenOf(project, 'landing', owner)
    .flatMap((landing) => landedOf(project, landing))
    .filter((landed) => landed.area === area.id)
    .flatMap(({ spans }) => spans),
];
