import { set } from '../change/make.js';
import { tell } from '../told/told.js';
import type { End } from '../model/end.js';
import { ELEMENT_BITS, type ReferenceField, type ToldFieldName } from '../model/words.js';
import { protocolAt } from '../protocol/catalogue.js';
import { changed, parseWhole, parseWord, parseYes, refused, type FieldEdit } from '../text/field-edit.js';
import { entityRows, type Field } from './field.js';

/** Instances are numbered in 16 bits. [published: The CIP Networks Library, Volume 1, object addressing] [from memory] */
const MOST_INSTANCE = 65_535;

const reference = (field: ReferenceField, title: string, help: string): Field<End> => ({
  title,
  width: [110, 1],
  mono: true,
  path: ['references', field],
  help,
  examples: ['12'],
  // Those that the protocol of the end knows, and those that somebody has typed all the same.
  has: (end, project) => {
    const exchange = project.get('exchange', end.exchange);
    const known = exchange && protocolAt(exchange, end).references?.fields.includes(field);
    return known === true || end.references?.[field] !== undefined;
  },
  text: (end) => end.references?.[field] ?? '',
  edit: (end, typed) => {
    if (field !== 'connection' && /^\d+$/.test(typed)) {
      const instance = parseWhole(typed, 0, MOST_INSTANCE, 'an instance');
      if (!instance.ok) return refused(instance);
    }
    const next = { ...end.references, [field]: typed };
    if (typed === '') delete next[field];
    return changed(set('end', end, ['references'], Object.keys(next).length === 0 ? null : next));
  },
});

/** Connection numbers, instances and element widths of the ends of an exchange. */
export const END = entityRows('end', 'end', {
  station: {
    title: 'End',
    width: [130, 1],
    names: true,
    text: ({ station }, project) => project.get('station', station)?.name ?? '',
  },
  connection: reference('connection', 'Connection', 'The number or selector of its connection.'),
  input: reference('input', 'Input instance', 'The instance that it takes data in by.'),
  output: reference('output', 'Output instance', 'The instance that it gives data out by.'),
  configuration: reference('configuration', 'Configuration instance', 'The instance of its configuration.'),
  elementBits: {
    title: 'Elements of',
    width: 100,
    muted: ({ elementBits }) => !elementBits,
    text: ({ elementBits }) => (elementBits ? String(elementBits) : ''),
    shown: ({ elementBits }) => (elementBits ? `${elementBits} bits` : 'bytes'),
    options: ELEMENT_BITS.map(String),
    edit: (end, typed) => {
      if (typed === '') return changed(set('end', end, ['elementBits'], null));
      const bits = parseWord(typed.replace(/\s*bits?$/, ''), ELEMENT_BITS, 'width of elements');
      return bits.ok ? changed(set('end', end, ['elementBits'], bits.value)) : refused(bits);
    },
    examples: ['16', '32 bits'],
    help: 'Bits of the elements that its sizes are counted in; empty: bytes.',
  },
  permitted: {
    title: 'Chosen at run time',
    width: 140,
    muted: ({ permitted }) => !permitted,
    text: ({ permitted }) => (permitted ? 'yes' : 'no'),
    options: ['yes', 'no'],
    edit: (end, typed) => {
      const yes = parseYes(typed);
      return yes.ok ? changed(set('end', end, ['permitted'], yes.value || undefined)) : refused(yes);
    },
    examples: ['yes', 'no'],
    help: 'Whether it is one of several that the caller chooses from while it runs.',
  },
  sends: { title: 'Reserved for sending', width: 150, right: true, muted: true, path: null, text: () => '' },
  takes: { title: 'Reserved for receiving', width: 150, right: true, muted: true, path: null, text: () => '' },
});

/** What an end is told about another, as typed; empty takes the protocol's default. */
export const editTold = (end: End, other: string, field: ToldFieldName, text: string): FieldEdit => changed(tell(end, other, field, text.trim()));
