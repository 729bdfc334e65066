import { set } from '../change/make.js';
import { orderAfter } from '../model/order.js';
import type { Project } from '../model/project.js';
import type { Route } from '../model/route.js';
import { changed, refused, type FieldEdit } from '../text/field-edit.js';
import { stationNamed } from './edit-route.js';

/**
 * Typed text into a text that a program may build: the text itself (emptied, it is not permitted any more), or the
 * station that it leads to, by name (empty: where the route leads). A key that is not there yet makes a new one.
 */
export function editPermitted(
  project: Project,
  route: Route,
  key: string,
  column: 'text' | 'to',
  typed: string,
): FieldEdit {
  const clean = typed.trim();
  const path = ['built', 'permitted', key];
  const known = route.built?.permitted[key];
  if (column === 'to') {
    if (!known) return changed();
    const station = stationNamed(project, clean);
    if (clean !== '' && !station) {
      return refused({ found: `there is no station “${clean}”`, expected: 'name the station that the text leads to' });
    }
    const own = !station || station.id === route.to;
    return changed(set('route', route, [...path, 'to'], own ? undefined : station.id));
  }
  if (known)
    return changed(clean === '' ? set('route', route, path, undefined) : set('route', route, [...path, 'text'], typed));
  if (clean === '') return changed();
  const entry = { order: orderAfter(Object.values(route.built?.permitted ?? {})), text: typed };
  return changed(
    route.built
      ? set('route', route, path, entry)
      : set('route', route, ['built'], { from: 'the program', checked: false, permitted: { [key]: entry } }),
  );
}
