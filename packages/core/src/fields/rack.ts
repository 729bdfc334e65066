import { set } from '../change/make.js';
import { orderAfter } from '../model/order.js';
import type { Rack, Zone } from '../model/rack.js';
import { MODULE_KINDS } from '../model/words.js';
import { changed, parseWhole, refused, type FieldEdit } from '../text/field-edit.js';
import { entityRows, entryRows, type Entry } from './field.js';
import { ofEntity, ofEntry } from './simple-fields.js';

const racks = ofEntity('rack');
const LIST = ['zones'];
type ZoneRow = Entry<'rack', Zone>;
const zones = ofEntry<'rack', Zone>('rack', LIST);

/** What is set for a rack as a whole. */
export const RACK = entityRows('rack', 'rack', {
  name: {
    title: 'Rack',
    width: [110, 1],
    ...racks.text('name'),
    examples: ['Rack 0'],
    help: 'What the rack is called.',
  },
  size: {
    title: 'slots',
    width: 64,
    ...racks.whole('size', 1, 1000, 'a number of slots'),
    examples: ['8'],
    help: 'How many slots it has.',
  },
  first: {
    title: 'first slot',
    width: 64,
    ...racks.whole('first', 0, 1000, 'a number of slots'),
    examples: ['0', '1'],
    help: 'The number of its first slot.',
  },
  gaps: {
    title: 'gaps allowed',
    width: 64,
    ...racks.yes('gaps'),
    examples: ['yes', 'no'],
    help: 'Whether an empty slot may lie between two modules.',
  },
  addressesFollow: {
    title: 'addresses follow',
    width: 64,
    ...racks.yes('addressesFollow'),
    examples: ['yes', 'no'],
    help: 'Whether image addresses follow from the slots, module after module.',
  },
  found: {
    title: 'slots found',
    width: 64,
    ...racks.whole('found', 1, 1000, 'a number of slots', { nothing: null }),
    examples: ['7'],
    help: 'How many slots were seen, where somebody looked.',
  },
  takes: {
    title: 'order codes it takes',
    width: [110, 1],
    text: ({ takes }) => takes.join(', '),
    edit: (rack, typed) =>
      racks.put(
        rack,
        'takes',
        typed
          .split(',')
          .map((code) => code.trim())
          .filter((code) => code !== ''),
      ),
    examples: ['DI-32, DO-32'],
    help: 'Order codes of the modules that its base takes, with commas; empty: any.',
  },
});

/** Neighbouring slots that take only some kinds of module, with a count and a gap rule of their own. */
export const ZONE = entryRows<'rack', Zone>(
  'rack',
  LIST,
  'zone',
)({
  name: {
    title: 'Zone',
    width: [110, 1],
    names: true,
    ...zones.text('name'),
    examples: ['left half'],
    help: 'What the zone is called.',
  },
  slot: {
    title: 'From slot',
    width: 72,
    right: true,
    mono: true,
    text: ({ entry }) => String(entry.slot),
    edit: (row, typed) => {
      const { first, size } = row.entity;
      const slot = parseWhole(typed, first, first + size - 1, 'the slot that a zone begins with');
      return slot.ok ? zones.put(row, 'slot', slot.value) : refused(slot);
    },
    examples: ['2'],
    help: 'The slot of the rack that it begins with.',
  },
  size: {
    title: 'Slots',
    width: 56,
    right: true,
    mono: true,
    text: ({ entry }) => String(entry.size),
    edit: (row, typed) => {
      const size = parseWhole(typed, 1, row.entity.size, 'a number of slots');
      return size.ok ? zones.put(row, 'size', size.value) : refused(size);
    },
    examples: ['2'],
    help: 'How many slots it has.',
  },
  kinds: {
    title: 'Takes',
    width: [260, 3],
    ...zones.words('kinds', MODULE_KINDS, 'kind of module'),
    shown: ({ entry }) => (entry.kinds.length === 0 ? 'every kind' : undefined),
    muted: ({ entry }) => entry.kinds.length === 0,
    examples: [MODULE_KINDS[0]],
    help: 'The kinds of module that it takes, with commas; empty: every kind.',
  },
  first: {
    title: 'Counts from',
    width: 96,
    right: true,
    mono: true,
    ...zones.whole('first', 0, 1000, 'the number of a zone’s first slot', { nothing: 'taken out' }),
    shown: ({ entry }) => (entry.first === undefined ? 'as the rack' : undefined),
    muted: ({ entry }) => entry.first === undefined,
    examples: ['1'],
    help: 'What its first slot is called, where it counts for itself.',
  },
  gaps: {
    title: 'Gaps allowed',
    width: 104,
    text: ({ entry }) => (entry.gaps === undefined ? '' : entry.gaps ? 'yes' : 'no'),
    options: ['yes', 'no'],
    edit: (row: ZoneRow, typed, editing) => (typed === '' ? zones.put(row, 'gaps', undefined) : zones.yes('gaps').edit(row, typed, editing)),
    shown: ({ entry }) => (entry.gaps === undefined ? 'as the rack' : undefined),
    muted: ({ entry }) => entry.gaps === undefined,
    examples: ['yes', 'no'],
    help: 'Whether empty slots may lie between its modules; empty: as the rack says.',
  },
});

/** One more zone, over the slots that no zone has yet; the whole rack where each has one. */
export function addZone(rack: Rack, key: string, name: string): FieldEdit {
  const taken = Object.values(rack.zones).map((z) => z.slot + z.size);
  const free = Math.max(rack.first, ...taken);
  const left = rack.first + rack.size - free;
  const zone: Zone = {
    order: orderAfter(Object.values(rack.zones)),
    name: name.trim(),
    kinds: [],
    ...(left > 0 ? { slot: free, size: left } : { slot: rack.first, size: rack.size }),
  };
  return changed(set('rack', rack, ['zones', key], zone));
}
