import { parseLength } from '../place/length.js';
import { unreadSentence } from '../text/read.js';
import { put, set } from '../change/make.js';
import { readable } from '../model/as-typed.js';
import type { MemoryCopy } from '../model/memory-copy.js';
import { childrenOf, inOrder, orderAfter } from '../model/order.js';
import type { Project } from '../model/project.js';
import { memoryOf, viewOf } from '../place/memory.js';
import type { Unit } from '../model/words.js';
import { placeText } from '../place/place-text.js';
import { readPlace } from '../place/read-place.js';
import { changed, refused, type FieldEdit } from '../text/field-edit.js';

export type CopyColumn = 'name' | 'from' | 'to' | 'length' | 'reader' | 'comment';

export const newCopy = (project: Project, id: string, station: string): MemoryCopy => ({
  ...{ id, order: orderAfter(childrenOf(project, 'copy', station)), station },
  ...{ name: '', from: null, to: null, length: null, reader: null },
});

/**
 * Typed text into one field of a copy, which is made with the first. Places are in the station's own notations, a length
 * in units of the place that it is copied from. What cannot be read stays as typed.
 */
export function editCopy(project: Project, station: string, id: string, column: CopyColumn, text: string): FieldEdit {
  const known = project.get('copy', id);
  const copy = known ?? newCopy(project, id, station);
  const store = (value: unknown, problem: string | null = null): FieldEdit => ({
    changes: known ? [set('copy', known, [column], value)] : [put('copy', { ...copy, [column]: value })],
    problem,
  });
  const clean = text.trim();
  switch (column) {
    case 'name':
      return store(clean);
    case 'comment':
      return store(clean || undefined);
    case 'from':
    case 'to': {
      if (clean === '') return store(null);
      const before = readable(copy[column]);
      if (before && placeText(project, before) === clean) return changed();
      const place = readPlace(project, station, clean, before?.area);
      return place.ok ? store(place.value) : store({ typed: clean }, unreadSentence(place));
    }
    case 'length': {
      if (clean === '') return store(null);
      const length = parseLength(clean, copyUnit(project, copy));
      return length.ok ? store(length.value) : store({ typed: clean }, unreadSentence(length));
    }
    case 'reader': {
      if (clean === '') return store(null);
      const station = inOrder(project, 'station').find((s) => s.name.toLowerCase() === clean.toLowerCase());
      if (station) return changed(...store(station.id).changes);
      return refused({ found: `“${clean}” is no station`, expected: 'name a station of this project' });
    }
  }
}

/** What a bare number of its length counts: the units of the place that it is copied from. */
export function copyUnit(project: Project, copy: MemoryCopy): Unit {
  const place = readable(copy.from) ?? readable(copy.to);
  const memory = place && memoryOf(project, place.area);
  const view = memory && viewOf(memory, place.view);
  return !view || view.unit === 1 ? 16 : view.unit;
}
