import { set } from '../change/make.js';
import type { Change } from '../change/change.js';
import type { BlockMember } from '../model/block-member.js';
import { entriesInOrder, inOrder, orderAfter } from '../model/order.js';
import type { Project } from '../model/project.js';
import { ACCESSES, CALLING, MEMBER_USES, SIGNALS } from '../model/words.js';
import { spanAddresses } from '../place/format-address.js';
import { formatContent, parseStartContent } from '../data/start-content.js';
import { formatBits, lengthBits, parseLength } from '../place/length.js';
import { memoryOf } from '../place/memory.js';
import { profileBlocks, reservedBlocks, type MemberBlock } from '../profiles/member-block.js';
import { changed, parseWord, parseYes, refused, type FieldEdit } from '../text/field-edit.js';
import type { Field, RowRef, Rows } from './field.js';

/** A part of a block: what stands where in a reserved range, or in a block that a type of station takes. */
export interface PartRow {
  block: MemberBlock;
  key: string;
  part: BlockMember;
}

const store = ({ block, key, part }: PartRow, next: Partial<BlockMember>): FieldEdit => changed(setIn(block, ['members', key], { ...part, ...next }));

const chosen = (field: 'role' | 'signal', words: readonly string[], what: string): Pick<Field<PartRow>, 'text' | 'edit' | 'options'> => ({
  text: ({ part }) => part[field] ?? '',
  options: words,
  edit: (row, typed) => {
    if (typed === '') return store(row, { [field]: null });
    const word = parseWord(typed, words, what);
    return word.ok ? store(row, { [field]: word.value }) : refused(word);
  },
});

const distance = (field: 'offset' | 'bits', title: string, width: number, help: string): Field<PartRow> => ({
  title,
  width,
  mono: true,
  right: true,
  help,
  examples: ['1 bit', '2 words'],
  text: ({ block, part }) => {
    const unit = part[field] % block.wordBits === 0 ? block.wordBits : part[field] % 8 === 0 ? 8 : 1;
    return formatBits(part[field], unit);
  },
  edit: (row, typed) => {
    const { block, part } = row;
    if (field === 'offset' && /^0(\s|$)/.test(typed)) return store(row, { offset: 0 });
    const length = parseLength(typed, block.wordBits);
    if (!length.ok) return refused(length);
    const bits = lengthBits(length.value);
    const end = field === 'offset' ? bits + part.bits : part.offset + bits;
    if (end <= block.length) return store(row, { [field]: bits });
    const expected = `the range is ${formatBits(block.length, block.wordBits)} long`;
    return refused({ found: `“${typed}” reaches beyond the range`, expected });
  },
});

const fields = {
  range: {
    title: 'Block of',
    width: [110, 1.2],
    names: true,
    muted: true,
    path: null,
    text: ({ block, key }) => (Object.keys(block.members ?? {})[0] === key ? block.owner : ''),
  },
  name: {
    title: 'Part',
    width: [100, 0.8],
    text: ({ part }) => part.name,
    edit: (row, name) => store(row, { name }),
    examples: ['start'],
    help: 'What the part is called.',
  },
  address: {
    title: 'Address',
    width: 90,
    mono: true,
    muted: true,
    path: null,
    text: ({ block, part }, project) => {
      const memory = block.holder.kind === 'area' ? memoryOf(project, block.holder.entity.id) : null;
      const start = (block.start ?? 0) + part.offset;
      return memory ? spanAddresses(memory, { start, end: start + part.bits }).first : '';
    },
  },
  offset: distance('offset', 'From its start', 104, 'How far it lies from the start of the block.'),
  bits: distance('bits', 'Size', 80, 'How long it is.'),
  use: {
    title: 'For',
    width: 90,
    text: ({ part }) => part.use,
    options: MEMBER_USES,
    edit: (row, typed) => {
      const use = parseWord(typed, MEMBER_USES, 'purpose');
      return use.ok ? store(row, { use: use.value }) : refused(use);
    },
    examples: ['status'],
    help: 'What it is for.',
  },
  role: {
    title: 'Where it',
    width: 78,
    muted: ({ part }) => !part.role,
    ...chosen('role', CALLING, 'role'),
    shown: ({ part }) => part.role ?? 'either',
    examples: ['calls'],
    help: 'The role in which it matters; empty: in both.',
  },
  signal: {
    title: 'Set as',
    width: 72,
    ...chosen('signal', SIGNALS, 'way to set it'),
    examples: [SIGNALS[0]],
    help: 'How the program sets or sees it.',
  },
  access: {
    title: 'Program may',
    width: 108,
    text: ({ part }) => part.access,
    options: ACCESSES,
    edit: (row, typed) => {
      const access = parseWord(typed, ACCESSES, 'access');
      return access.ok ? store(row, { access: access.value }) : refused(access);
    },
    examples: [...ACCESSES],
    help: 'What the program may do with it; read: the module sets it.',
  },
  atStart: {
    title: 'At start',
    width: 64,
    muted: ({ part }) => !part.atStart,
    text: ({ part }) => (part.atStart ? 'yes' : 'no'),
    options: ['yes', 'no'],
    edit: (row, typed) => {
      const yes = parseYes(typed);
      return yes.ok ? store(row, { atStart: yes.value || undefined }) : refused(yes);
    },
    examples: ['yes', 'no'],
    help: 'Whether it is written once, by start values.',
  },
  content: {
    title: 'Contents at start',
    width: [120, 1],
    mono: true,
    text: ({ part }) => part.content ?? '',
    shown: ({ part: { content = '' } }) => {
      const known = content === '' ? null : parseStartContent(content);
      return known?.ok && known.value.of !== 'bytes' ? `${content} = ${formatContent(known.value)}` : undefined;
    },
    // What the module sets it keeps there itself; all else is written once, at start.
    edit: (row, typed) =>
      store(row, typed === '' ? { content: undefined } : row.part.access === 'read' ? { content: typed } : { content: typed, atStart: true }),
    examples: ['10.8.2.40', '‘BakeCtl’', '16#0A 08'],
    help: 'What start values write there, or the module keeps there: an address, a text in quotes with its count before it, or bytes.',
  },
  meaning: {
    title: 'Meaning',
    width: [120, 1.2],
    text: ({ part }) => part.meaning ?? '',
    edit: (row, meaning) => store(row, { meaning }),
    examples: ['1: runs'],
    help: 'What its values mean.',
  },
} satisfies Record<string, Field<PartRow>>;

/** What stands where in blocks of a memory: bits that a program sets or sees, settings, states. */
export const BLOCK_PART: Rows<PartRow, keyof typeof fields> = {
  one: 'part of a block',
  kind: 'area',
  list: ['reservations', '', 'members'],
  fields,
  all: (project) =>
    [...inOrder(project, 'station').flatMap((station) => reservedBlocks(project, station.id)), ...inOrder(project, 'profile').flatMap(profileBlocks)].flatMap(
      partsOf,
    ),
  refOf: ({ block, key }) => partRef(block, key),
  find: (project, { kind, id, path }) => {
    const key = path.at(-1)!;
    const block = kind === 'area' || kind === 'profile' ? blockOf(project, kind, id, path[1]!) : undefined;
    const part = block?.members?.[key];
    return block && part ? { block, key, part } : undefined;
  },
};

/** The parts of a block, in order. */
export const partsOf = (block: MemberBlock): PartRow[] => entriesInOrder(block.members ?? {}).map(([key, part]) => ({ block, key, part }));

export const partRef = ({ holder, path }: MemberBlock, key: string): RowRef => ({
  kind: holder.kind,
  id: holder.entity.id,
  path: [...path, 'members', key],
});

/** The block as it is by now: a reserved range of an area, or what a profile says. */
export function blockOf(project: Project, kind: 'area' | 'profile', id: string, block: string): MemberBlock | undefined {
  const area = kind === 'area' ? project.get('area', id) : undefined;
  const profile = kind === 'profile' ? project.get('profile', id) : undefined;
  const all = area ? reservedBlocks(project, area.station) : profile ? profileBlocks(profile) : [];
  return all.find(({ holder, path }) => holder.entity.id === id && path[1] === block);
}

/** The changes that make a part at the end of a block. */
export function addBlockPart(block: MemberBlock, key: string, name: string): FieldEdit {
  const parts = Object.values(block.members ?? {});
  const offset = parts.reduce((end, m) => Math.max(end, m.offset + m.bits), 0);
  const part: BlockMember = { order: orderAfter(parts), name, offset, bits: 1, use: 'status', access: 'read' };
  return changed(block.members ? setIn(block, ['members', key], part) : setIn(block, ['members'], { [key]: part }));
}

function setIn({ holder, path }: MemberBlock, at: readonly string[], value: unknown): Change {
  return holder.kind === 'area' ? set('area', holder.entity, [...path, ...at], value) : set('profile', holder.entity, [...path, ...at], value);
}
