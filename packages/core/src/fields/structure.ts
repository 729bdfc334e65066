import { put, set } from '../change/make.js';
import { inOrder, orderAfter } from '../model/order.js';
import type { Project } from '../model/project.js';
import type { Member, Structure } from '../model/structure.js';
import { containsItself } from '../structure/lay-out.js';
import { readType, typeText } from '../structure/type-text.js';
import { changed, refused, type FieldEdit } from '../text/field-edit.js';
import { unreadSentence } from '../text/read.js';
import { entityRows, entryRows } from './field.js';
import { ofEntity, ofEntry } from './simple-fields.js';

const LIST = ['members'];
const members = ofEntry<'structure', Member>('structure', LIST);

/** Structured data types. */
export const STRUCTURE = entityRows('structure', 'structure', {
  name: {
    title: 'Structure, member',
    width: [200, 1.4],
    names: true,
    ...ofEntity('structure').text('name'),
    examples: ['MotorState'],
    help: 'The name by which it is used as a type.',
  },
});

/** The members of a structure, in their order. */
export const MEMBER = entryRows<'structure', Member>(
  'structure',
  LIST,
  'member',
)({
  name: {
    title: 'Structure, member',
    width: [200, 1.4],
    names: true,
    ...members.text('name'),
    examples: ['Speed'],
    help: 'What the member is called; a new one may be typed with its type, as Speed INT.',
  },
  type: {
    title: 'Type',
    width: [140, 1],
    mono: true,
    text: ({ entry: { type } }, project) => (!type ? '' : 'typed' in type ? type : typeText(project, type)),
    edit: (row, typed, { project }) => {
      if (typed === '') return members.put(row, 'type', null);
      const type = readType(project, typed);
      if (!type.ok) return { ...members.put(row, 'type', { typed }), problem: unreadSentence(type) };
      if (!containsItself(project, row.entity.id, type.value)) return members.put(row, 'type', type.value);
      const expected = 'give it a type that does not lead back to the structure';
      return refused({ found: `“${typed}” would make ${row.entity.name} contain itself`, expected });
    },
    examples: ['INT', 'ARRAY [0..3] OF REAL', 'STRING[20]'],
    help: 'An elementary type of IEC 61131-3, an array of one, or another structure.',
  },
});

/** The change that makes a structure. */
export const addStructure = (project: Project, id: string, name: string): FieldEdit =>
  changed(put('structure', { id, order: orderAfter(inOrder(project, 'structure')), name, members: {} }));

/** The change that makes a member, from its name or from its name and type: `Speed INT`. */
export function addMember(project: Project, structure: Structure, key: string, text: string): FieldEdit {
  const order = orderAfter(Object.values(structure.members));
  const [, name, rest] = /^(\S+)\s+(.+)$/.exec(text) ?? [];
  const type = rest === undefined ? null : readType(project, rest);
  const member: Member =
    type?.ok && name !== undefined && !containsItself(project, structure.id, type.value)
      ? { order, name, type: type.value }
      : { order, name: text, type: null };
  return changed(set('structure', structure, ['members', key], member));
}
