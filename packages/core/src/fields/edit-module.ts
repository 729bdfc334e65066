import { set } from '../change/make.js';
import { placeFault } from '../rack/slots.js';
import type { Module } from '../model/module.js';
import type { Project } from '../model/project.js';
import { MODULE_KINDS } from '../model/words.js';
import { changed, parseWhole, parseWord, refused, type FieldEdit } from '../text/field-edit.js';

export type ModuleColumn =
  'slot' | 'name' | 'kind' | 'orderCode' | 'found' | 'inputs' | 'outputs' | 'dial' | 'description' | 'comment';

/** Typed text into one field of a module. A slot that its rack or zone does not offer is refused with the reason. */
export function editModule(project: Project, module: Module, column: ModuleColumn, text: string): FieldEdit {
  const clean = text.trim();
  const put = (value: unknown) => changed(set('module', module, [column], value));
  switch (column) {
    case 'slot': {
      if (clean === '') return put(null);
      const slot = parseWhole(clean, 0, 1000, 'a slot');
      const rack = project.get('rack', module.rack);
      if (!slot.ok || !rack) return slot.ok ? { changes: [], problem: null } : refused(slot);
      const fault = placeFault(rack, module, slot.value);
      if (fault === null) return put(slot.value);
      return refused({ found: `${module.name || module.kind} cannot go into slot ${clean}`, expected: fault });
    }
    case 'kind': {
      const kind = parseWord(clean, MODULE_KINDS, 'kind of module');
      return kind.ok ? put(kind.value) : refused(kind);
    }
    case 'inputs':
    case 'outputs': {
      const size = parseWhole(clean === '' ? '0' : clean, 0, 100_000, 'a size in bytes');
      return size.ok ? put(size.value) : refused(size);
    }
    case 'found': {
      // `5.2`, or another order code before it: `DO-32 5.2`.
      const [, orderCode, revision = ''] = /^(?:(.+)\s+)?(\S*)$/.exec(clean) ?? [];
      if (clean === '') return put(null);
      const known = module.found?.orderCode || module.orderCode;
      return put({ ...module.found, orderCode: orderCode?.trim() || known, revision });
    }
    case 'dial': {
      // Turned is not read in yet.
      const dial = changed(set('module', module, ['dial'], clean || undefined));
      if (clean === '' || clean === (module.dial ?? '')) return dial;
      return { ...dial, changes: [...dial.changes, set('module', module, ['dialRead'], false)] };
    }
    case 'description':
    case 'comment':
      return put(clean || undefined);
    default:
      return put(clean);
  }
}
