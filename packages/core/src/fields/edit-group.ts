import { set } from '../change/make.js';
import { inOrder, orderAfter } from '../model/order.js';
import type { Project } from '../model/project.js';
import type { Station, TagGroup } from '../model/station.js';
import { changed, refused, type FieldEdit } from '../text/field-edit.js';

/** Typed text into a group of a tag server, which is made with its name; its station is named. */
export function editGroup(
  project: Project,
  station: Station,
  key: string,
  column: 'name' | 'station',
  text: string,
): FieldEdit {
  const clean = text.trim();
  const known = station.groups?.[key];
  const order = orderAfter(Object.values(station.groups ?? {}));
  const group: TagGroup = known ?? { order, name: '', station: null };
  if (column === 'name') return changed(putGroup(station, key, { ...group, name: clean }));
  if (clean === '') return changed(putGroup(station, key, { ...group, station: null }));
  const named = inOrder(project, 'station').find((s) => s.name.toLowerCase() === clean.toLowerCase());
  if (named) return changed(putGroup(station, key, { ...group, station: named.id }));
  return refused({ found: `“${clean}” is no station of the project`, expected: 'write the name of one' });
}

export const dropGroup = (station: Station, key: string): FieldEdit => changed(putGroup(station, key, undefined));

const putGroup = (station: Station, key: string, group: TagGroup | undefined) =>
  station.groups
    ? set('station', station, ['groups', key], group)
    : set('station', station, ['groups'], group ? { [key]: group } : null);
