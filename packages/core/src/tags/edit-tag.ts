import { unreadSentence } from '../address/result.js';
import { put, set } from '../change/make.js';
import { childrenOf, orderAfter } from '../model/order.js';
import type { Project } from '../model/project.js';
import { memoriesOf } from '../address/memory.js';
import { parseAddress } from '../address/parse-address.js';
import type { Tag } from '../model/tag.js';
import { ACCESSES, OPENNESS } from '../model/words.js';
import { changed, parseWord, refused, type FieldEdit } from '../station/field-edit.js';
import { readType } from '../structure/read-type.js';

export type TagColumn = 'name' | 'type' | 'place' | 'access' | 'open' | 'program' | 'unit' | 'comment';

export const newTag = (project: Project, id: string, station: string): Tag => ({
  ...{ id, order: orderAfter(childrenOf(project, 'tag', station)), station },
  ...{ name: '', type: null, place: null },
});

/** Typed text into one field of a tag, which is made with the first. What cannot be read stays as typed. */
export function editTag(project: Project, station: string, id: string, column: TagColumn, text: string): FieldEdit {
  const known = project.get('tag', id);
  const tag = known ?? newTag(project, id, station);
  const store = (value: unknown, problem: string | null = null): FieldEdit => ({
    changes: known ? [set('tag', known, [column], value)] : [put('tag', { ...tag, [column]: value })],
    problem,
  });
  const clean = text.trim();
  switch (column) {
    case 'name':
      return store(clean);
    case 'type': {
      if (clean === '') return store(null);
      const type = readType(project, clean);
      return type.ok ? store(type.value) : store({ typed: clean }, unreadSentence(type));
    }
    case 'place': {
      if (clean === '') return store(null);
      const place = parseAddress(clean, memoriesOf(project, station));
      return place.ok ? store(place.value) : store({ typed: clean }, unreadSentence(place));
    }
    case 'access': {
      if (clean === '') return store(null);
      const access = parseWord(clean, ACCESSES, 'access');
      return access.ok ? store(access.value) : refused(access);
    }
    case 'open': {
      if (clean === '') return store(null);
      const open = parseWord(clean, OPENNESS, 'kind of openness');
      return open.ok ? store(open.value) : refused(open);
    }
    default:
      return changed(...store(clean || undefined).changes);
  }
}
