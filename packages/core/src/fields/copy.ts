import { readable } from '../model/as-typed.js';
import type { MemoryCopy } from '../model/memory-copy.js';
import { childrenOf, orderAfter } from '../model/order.js';
import type { Project } from '../model/project.js';
import type { Unit } from '../model/words.js';
import { formatBits, lengthBits, parseLength } from '../place/length.js';
import { memoryOf, viewOf } from '../place/memory.js';
import { placeText } from '../place/place-text.js';
import { readPlace } from '../place/read-place.js';
import { changed } from '../text/field-edit.js';
import { unreadSentence } from '../text/read.js';
import { entityRows, type Field } from './field.js';
import { ofEntity } from './simple-fields.js';

const { text, note, station, put } = ofEntity('copy');

/** In the station's own notations; what cannot be read stays as typed. */
const place = (field: 'from' | 'to', title: string, help: string): Field<MemoryCopy> => ({
  title,
  width: 120,
  mono: true,
  help,
  examples: ['G100'],
  text: (copy, project) => {
    const value = copy[field];
    return !value ? '' : 'typed' in value ? value : placeText(project, value);
  },
  edit: (copy, typed, { project }) => {
    if (typed === '') return put(copy, field, null);
    const before = readable(copy[field]);
    if (before && placeText(project, before) === typed) return changed();
    const read = readPlace(project, copy.station, typed, before?.area);
    return read.ok ? put(copy, field, read.value) : { ...put(copy, field, { typed }), problem: unreadSentence(read) };
  },
});

/** What a station moves inside itself: readings to the block that is asked for, a status to where it is looked for. */
export const COPY = entityRows('copy', 'copy', {
  name: {
    title: 'Copy',
    width: [140, 1],
    counts: true,
    ...text('name'),
    examples: ['readings to the window'],
    help: 'What is moved.',
  },
  from: place('from', 'From', 'Where it is copied from, as the station writes addresses.'),
  to: place('to', 'To', 'Where it is copied to, as the station writes addresses.'),
  length: {
    title: 'Length',
    width: 90,
    mono: true,
    right: true,
    text: (copy, project) => {
      const { length } = copy;
      return !length ? '' : 'typed' in length ? length : formatBits(lengthBits(length), copyUnit(project, copy));
    },
    edit: (copy, typed, { project }) => {
      if (typed === '') return put(copy, 'length', null);
      const length = parseLength(typed, copyUnit(project, copy));
      if (length.ok) return put(copy, 'length', length.value);
      return { ...put(copy, 'length', { typed }), problem: unreadSentence(length) };
    },
    examples: ['4', '10 words', '6 bytes'],
    help: 'How much is copied; a number alone counts units of the place that it is copied from.',
  },
  reader: {
    title: 'Meant to be read by',
    width: [140, 0.8],
    ...station('reader'),
    examples: [],
    help: 'The station that is meant to read it there.',
  },
  comment: {
    title: 'Comment',
    width: [140, 1.2],
    ...note('comment'),
    examples: ['once each pass'],
    help: 'Anything worth knowing.',
  },
});

export const newCopy = (project: Project, id: string, station: string): MemoryCopy => ({
  id,
  order: orderAfter(childrenOf(project, 'copy', station)),
  station,
  name: '',
  from: null,
  to: null,
  length: null,
  reader: null,
});

/** What a bare number of its length counts: the units of the place that it is copied from. */
export function copyUnit(project: Project, copy: MemoryCopy): Unit {
  const place = readable(copy.from) ?? readable(copy.to);
  const memory = place && memoryOf(project, place.area);
  const view = memory && viewOf(memory, place.view);
  return !view || view.unit === 1 ? 16 : view.unit;
}
