import { dropWithDependents, put, set, type Change } from '@dialoga/core/change';
import { digestOf, orderAfter, type Project, type TemporaryThing } from '@dialoga/core/model';
import { currentAuthor } from '../api/author';
import type { RehearsalView } from '../api/client';
import { edit } from './editing';
import type { Thunk } from './store';

const isHeld = ({ sort }: TemporaryThing): boolean =>
  sort === 'held in rehearsal' || sort === 'played by another program';

/**
 * Writes into the project what a rehearsal holds in place of programs, so that it stands among the temporary things in every
 * window; what it holds no longer goes from there. Null: it ended.
 */
export function keepHeld(view: RehearsalView | null): Thunk<void> {
  return (dispatch, getState) => {
    const { project } = getState().project;
    if (!project) return;
    const wanted = new Map(heldIn(project, view).map((thing) => [thing.id, thing]));
    const changes: Change[] = [];
    for (const known of [...project.all('temporary')].filter(isHeld)) {
      const now = wanted.get(known.id);
      if (!now) changes.push(...dropWithDependents(project, 'temporary', known.id));
      else if (now.what !== known.what) changes.push(set('temporary', known, ['what'], now.what));
      wanted.delete(known.id);
    }
    for (const thing of wanted.values()) changes.push(put('temporary', thing));
    if (changes.length > 0) dispatch(edit('Held in rehearsal', changes));
  };
}

function heldIn(project: Project, view: RehearsalView | null): TemporaryThing[] {
  if (!view) return [];
  const said = { by: currentAuthor(), at: new Date().toISOString(), order: orderAfter(project.all('temporary')) };
  return [
    ...view.driven.map(({ link, key, name, does }): TemporaryThing => ({
      ...said,
      id: `held-${digestOf([link, key])}`,
      sort: 'held in rehearsal',
      what: `${name}: ${does}`,
      link,
      value: key,
      undo: 'Take the hand off on the rehearsal’s page',
    })),
    ...view.outside.map(({ station }): TemporaryThing => ({
      ...said,
      id: `held-${digestOf([station])}`,
      sort: 'played by another program',
      what: `${project.get('station', station)?.name ?? station} is played by another program`,
      station,
      link: station,
      undo: 'Take the station back on the rehearsal’s page',
    })),
  ];
}
