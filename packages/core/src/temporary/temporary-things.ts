import type { Change } from '../change/change.js';
import { dropWithDependents, set } from '../change/make.js';
import { setBack } from '../fields/setting-back.js';
import { childrenOf, inOrder } from '../model/order.js';
import type { Project } from '../model/project.js';
import type { Station } from '../model/station.js';
import { plannedOf } from '../setting/planned.js';

/** Something that is there only for the time of the work. */
export interface Temporary {
  key: string;
  what: string;
  sort: string;
  station: string | null;
  by: string;
  /** ISO 8601; empty: not known */
  at: string;
  /** how it is undone, in words */
  undo: string;
  /** what undoes it here; null: it is undone at the device, and said there */
  changes: readonly Change[] | null;
  /** it is held in a rehearsal, and let go there, too */
  held: { link: string; value: string; sort: 'held in rehearsal' | 'played by another program' } | null;
}

/** Everything of a project that is temporary, whoever made it: nothing is handed over while one is open. */
export function temporaryThings(project: Project): Temporary[] {
  return [
    ...inOrder(project, 'temporary').map((thing): Temporary => {
      const { id, what, sort, station, by, at, undo, link, value } = thing;
      const held = sort === 'held in rehearsal' || sort === 'played by another program';
      return {
        key: id,
        what,
        sort,
        station: station ?? null,
        by,
        at,
        undo: undo || 'undo it, and take it off here',
        changes: dropWithDependents(project, 'temporary', id),
        held: held ? { link: link ?? '', value: value ?? '', sort } : null,
      };
    }),
    ...inOrder(project, 'station').flatMap((station) => atStation(project, station)),
  ];
}

function atStation(project: Project, station: Station): Temporary[] {
  const own = { station: station.id, held: null };
  const things: Temporary[] = [];
  for (const setting of childrenOf(project, 'setting', station.id)) {
    if (!setting.was) continue;
    const port = project.get('port', setting.field.split(' ')[1] ?? '');
    const now = plannedOf(project, setting.field);
    things.push({
      ...own,
      key: setting.id,
      what: `${now?.what ?? 'something'} ${now?.text ?? ''}`.trim(),
      sort: 'own adapter',
      by: setting.by,
      at: setting.at,
      undo: `set it back to ${setting.was}`,
      changes: port ? setBack(project, port) : null,
    });
  }
  for (const port of childrenOf(project, 'port', station.id)) {
    if (port.how !== 'temporary') continue;
    const what = `${port.name || 'a port'} has the temporary address ${port.address}`;
    things.push({
      ...own,
      key: port.id,
      what,
      sort: 'temporary address',
      by: '',
      at: '',
      undo: 'load it, which makes the address permanent; then it is set by hand',
      changes: [set('port', port, ['how'], 'by hand')],
    });
  }
  for (const helper of childrenOf(project, 'helper', station.id)) {
    if (helper.presence !== 'found') continue;
    const stands = project.get('station', helper.standsFor)?.name ?? 'a station';
    things.push({
      ...own,
      key: helper.id,
      what: `${helper.drawnAs || 'a helper object'} in its project, for ${stands}`,
      sort: 'helper object',
      by: '',
      at: '',
      undo: 'take it out of that project',
      changes: [set('helper', helper, ['presence'], 'removed')],
    });
  }
  if (station.guard === 'open' || station.guard === 'default password') {
    const open = station.guard === 'open';
    things.push({
      ...own,
      key: `guard ${station.id}`,
      what: open ? 'access open to all' : 'still its default password',
      sort: open ? 'opened access' : 'default password',
      by: '',
      at: '',
      undo: 'give it a password of its own, and enter that at the station',
      changes: null,
    });
  }
  return things;
}
