import { set } from '../change/make.js';
import type { Area } from '../model/area.js';
import { AREA_KINDS, OWN_WRITERS, WORD_BITS } from '../model/words.js';
import { formatSpan } from '../place/format-address.js';
import { memoryOf } from '../place/memory.js';
import { changed, parseWord, refused, type FieldEdit } from '../text/field-edit.js';
import { entityRows } from './field.js';
import { ofEntity, readWords } from './simple-fields.js';

const { text, note, word, whole } = ofEntity('area');
const MOST_WORDS = 100_000_000;

/** The addressable memory of a station. */
export const AREA = entityRows('area', 'area', {
  name: {
    title: 'Area',
    width: [140, 1],
    counts: true,
    ...text('name'),
    examples: ['Data', 'Readings'],
    help: 'What the memory is called.',
  },
  kind: {
    title: 'Kind',
    width: 150,
    ...word('kind', AREA_KINDS, 'kind of area'),
    edit: editKind,
    examples: ['memory', 'coils'],
    help: 'What sort of memory it is; it decides who may write there.',
  },
  wordBits: {
    title: 'Bits per word',
    width: 90,
    right: true,
    text: ({ wordBits }) => String(wordBits),
    options: WORD_BITS.map(String),
    edit: (area, typed) => {
      const bits = parseWord(typed.replace(/\s*bits?$/, ''), WORD_BITS, 'number of bits a word');
      return bits.ok ? changed(set('area', area, ['wordBits'], bits.value)) : refused(bits);
    },
    examples: ['16', '8 bits'],
    help: 'How many bits its addresses count in.',
  },
  words: {
    title: 'Words',
    width: 90,
    right: true,
    ...whole('words', 1, MOST_WORDS, 'the size of an area in words', { unit: /\s*words?$/ }),
    examples: ['4096', '100 words'],
    help: 'How many words it has.',
  },
  writers: {
    title: 'Written also by',
    width: [160, 1],
    text: ({ writers }) => writers.join(', '),
    shown: ({ writers }) => (writers.length === 0 ? 'exchanges only' : undefined),
    options: OWN_WRITERS,
    edit: (area, typed) => {
      const found = readWords(typed === 'exchanges only' ? '' : typed, OWN_WRITERS, 'writer of its own');
      return 'changes' in found ? found : changed(set('area', area, ['writers'], found.words));
    },
    examples: ['program', 'exchanges only'],
    help: 'Who writes there besides the exchanges, with commas; empty: nobody.',
  },
  range: {
    title: 'Addresses',
    width: [160, 1],
    path: null,
    mono: true,
    muted: true,
    text: (area, project) => {
      const memory = memoryOf(project, area.id);
      return memory && memory.views.length > 0 ? formatSpan(memory, { start: 0, end: memory.bits }) : 'no notation yet; add a view below';
    },
  },
  lastWord: {
    title: 'Priority on conflict',
    width: [130, 0.8],
    ...note('lastWord'),
    examples: ['the panel'],
    help: 'Where several set values here on request: whose stands.',
  },
});

function editKind(area: Area, text: string): FieldEdit {
  const kind = parseWord(text, AREA_KINDS, 'kind of area');
  if (!kind.ok) return refused(kind);
  const changes = [set('area', area, ['kind'], kind.value)];
  // A gateway's memory has no program behind it: what was only assumed of a new area goes.
  const assumed = area.writers.length === 1 && area.writers[0] === 'program';
  if (kind.value === 'gateway memory' && assumed) changes.push(set('area', area, ['writers'], []));
  return changed(...changes);
}
