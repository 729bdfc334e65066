import { set } from '../change/make.js';
import { orderAfter } from '../model/order.js';
import type { Rack, Zone } from '../model/rack.js';
import { MODULE_KINDS, type ModuleKind } from '../model/words.js';
import { changed, parseWhole, parseWord, refused, type FieldEdit } from '../text/field-edit.js';

export type ZoneColumn = 'name' | 'slot' | 'size' | 'kinds' | 'first' | 'gaps';

/** Typed text into one field of a zone of a rack. Kinds of module are separated by commas; none: all. */
export function editZone(rack: Rack, key: string, column: ZoneColumn, text: string): FieldEdit {
  const clean = text.trim();
  const put = (value: unknown) => changed(set('rack', rack, ['zones', key, column], value));
  const last = rack.first + rack.size - 1;
  switch (column) {
    case 'name':
      return put(clean);
    case 'slot': {
      const slot = parseWhole(clean, rack.first, last, 'the slot that a zone begins with');
      return slot.ok ? put(slot.value) : refused(slot);
    }
    case 'size': {
      const size = parseWhole(clean, 1, rack.size, 'a number of slots');
      return size.ok ? put(size.value) : refused(size);
    }
    case 'first': {
      if (clean === '') return put(undefined);
      const first = parseWhole(clean, 0, 1000, 'the number of a zone’s first slot');
      return first.ok ? put(first.value) : refused(first);
    }
    case 'gaps': {
      if (clean === '') return put(undefined);
      const yes = parseWord(clean, ['yes', 'no'], 'answer');
      return yes.ok ? put(yes.value === 'yes') : refused(yes);
    }
    case 'kinds': {
      const kinds: ModuleKind[] = [];
      for (const part of clean.split(',').filter((p) => p.trim() !== '')) {
        const kind = parseWord(part.trim(), MODULE_KINDS, 'kind of module');
        if (!kind.ok) return refused(kind);
        if (!kinds.includes(kind.value)) kinds.push(kind.value);
      }
      return put(kinds);
    }
  }
}

/** One more zone, over the slots that no zone has yet; the whole rack where each has one. */
export function addZone(rack: Rack, key: string, name: string): FieldEdit {
  const taken = Object.values(rack.zones).map((z) => z.slot + z.size);
  const free = Math.max(rack.first, ...taken);
  const left = rack.first + rack.size - free;
  const zone: Zone = {
    ...{ order: orderAfter(Object.values(rack.zones)), name: name.trim(), kinds: [] },
    ...(left > 0 ? { slot: free, size: left } : { slot: rack.first, size: rack.size }),
  };
  return changed(set('rack', rack, ['zones', key], zone));
}
