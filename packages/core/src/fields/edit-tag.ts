import { put, set } from '../change/make.js';
import type { TagField } from '../formats/tag-list.js';
import { childrenOf, orderAfter } from '../model/order.js';
import type { Project } from '../model/project.js';
import type { Tag } from '../model/tag.js';
import type { FieldEdit } from '../text/field-edit.js';
import { readTagContext, readTagField } from './tag-field.js';

export type TagColumn = 'name' | 'notUsed' | TagField;

export const newTag = (project: Project, id: string, station: string): Tag => ({
  ...{ id, order: orderAfter(childrenOf(project, 'tag', station)), station },
  ...{ name: '', type: null, place: null },
});

/** Typed text into one field of a tag, which is made with the first. What cannot be read stays as typed. */
export function editTag(
  project: Project,
  station: string,
  id: string,
  column: TagColumn,
  text: string,
  by = '',
): FieldEdit {
  const known = project.get('tag', id);
  const tag = known ?? newTag(project, id, station);
  const store = (value: unknown, problem: string | null = null): FieldEdit => ({
    changes: known ? [set('tag', known, [column], value)] : [put('tag', { ...tag, [column]: value })],
    problem,
  });
  const clean = text.trim();
  if (column === 'name') return store(clean);
  if (column === 'notUsed')
    return store(clean === '' ? null : { reason: clean, by: tag.notUsed?.by || by || 'not named' });
  const { value, problem, taken } = readTagField(column, clean, readTagContext(project, station));
  return taken ? store(value, problem) : { changes: [], problem };
}
