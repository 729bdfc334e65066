import { set } from '../change/make.js';
import type { Change } from '../change/change.js';
import { slotName } from '../rack/slots.js';
import type { Module } from '../model/module.js';
import { childrenOf } from '../model/order.js';
import type { Project } from '../model/project.js';
import { type Copy, withTicks } from './copies.js';

/** Every controller's own entry of a module's slot and order code. */
export function copiesOfModule(project: Project, module: Module): Copy[] {
  const rack = project.get('rack', module.rack);
  const slot = rack && module.slot !== null ? slotName(rack, module.slot) : '';
  const copies = childrenOf(project, 'landing', module.id).flatMap((landing) => {
    const copy = (
      path: 'slot' | 'orderCode',
      field: string,
      value: string,
      truth: string,
    ): Omit<Copy, 'id' | 'tick'>[] =>
      truth === ''
        ? []
        : [
            {
              cell: { kind: 'landing', id: landing.id, path: [path] },
              holder: landing.station,
              where: module.name || module.kind,
              field,
              value,
              truth,
              state: value === truth ? 'as it is' : value === '' ? 'not told' : 'another',
            },
          ];
    const entered = landing.slot === null ? '' : rack ? slotName(rack, landing.slot) : String(landing.slot);
    return [
      ...copy('slot', 'slot', entered, slot),
      ...copy('orderCode', 'order code', landing.orderCode.trim(), module.orderCode.trim()),
    ];
  });
  return withTicks(project, copies);
}

/** Types into one controller's landing what is so. */
export function followUpModule(project: Project, module: Module, copy: Copy): Change[] {
  const landing = project.get('landing', copy.cell.id);
  const [field] = copy.cell.path;
  if (!landing) return [];
  return [set('landing', landing, [field!], field === 'slot' ? module.slot : copy.truth)];
}
