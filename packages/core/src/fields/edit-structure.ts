import { unreadSentence } from '../text/read.js';
import { put, set } from '../change/make.js';
import { inOrder, orderAfter } from '../model/order.js';
import type { Project } from '../model/project.js';
import type { Member, Structure } from '../model/structure.js';
import { changed, refused, type FieldEdit } from '../text/field-edit.js';
import { containsItself } from '../structure/lay-out.js';
import { readType } from '../structure/type-text.js';

/** A structure's name; it is made with it. */
export function editStructure(project: Project, id: string, name: string): FieldEdit {
  const known = project.get('structure', id);
  if (known) return changed(set('structure', known, ['name'], name.trim()));
  const order = orderAfter(inOrder(project, 'structure'));
  return changed(put('structure', { id, order, name: name.trim(), members: {} }));
}

/** Typed text into one field of a member, which is made with the first. A type that leads back to the structure is refused. */
export function editMember(
  project: Project,
  structure: Structure,
  key: string,
  column: 'name' | 'type',
  text: string,
): FieldEdit {
  const order = orderAfter(Object.values(structure.members));
  const member: Member = structure.members[key] ?? { order, name: '', type: null };
  const clean = text.trim();
  // A new member can be typed as one: `Speed INT`.
  const [, first, rest] = structure.members[key] ? [] : (/^(\S+)\s+(.+)$/.exec(clean) ?? []);
  const typed = column === 'name' && rest !== undefined ? readType(project, rest) : null;
  if (typed?.ok && first !== undefined && !containsItself(project, structure.id, typed.value)) {
    const member: Member = { order, name: first, type: typed.value };
    return changed(set('structure', structure, ['members', key], member));
  }
  const store = (next: Member, problem: string | null = null): FieldEdit => ({
    changes: [set('structure', structure, ['members', key], next)],
    problem,
  });
  if (column === 'name') return store({ ...member, name: clean });
  if (clean === '') return store({ ...member, type: null });
  const type = readType(project, clean);
  if (!type.ok) return store({ ...member, type: { typed: clean } }, unreadSentence(type));
  if (!containsItself(project, structure.id, type.value)) return store({ ...member, type: type.value });
  const expected = 'give it a type that does not lead back to the structure';
  return refused({ found: `“${clean}” would make ${structure.name} contain itself`, expected });
}

/** The changes that take a member out. */
export const dropMember = (structure: Structure, key: string): FieldEdit =>
  changed(set('structure', structure, ['members', key], undefined));
