import { put } from '@dialoga/core/change';
import { orderAfter } from '@dialoga/core/model';
import { temporaryThings, type Temporary } from '@dialoga/core/temporary';
import { useMemo } from 'react';
import { currentAuthor } from '../api/author';
import { newId } from '../api/new-id';
import { AuthorField } from '../history/author-field';
import { Grid } from '../grid/grid';
import type { GridColumn, GridRow } from '../grid/types';
import { edit } from '../store/editing';
import { projectSlice } from '../store/project-slice';
import { useAppDispatch, useStateOf } from '../store/store';
import { useRehearsal } from '../store/use-rehearsal';
import { formatWhenShort } from '../words/when';
import { SiteTitle } from './site-title';

const COLUMNS: readonly GridColumn[] = [
  { id: 'what', title: 'What is temporary', track: 'minmax(260px, 2fr)' },
  { id: 'sort', title: 'Sort', track: '150px' },
  { id: 'where', title: 'Where', names: true, track: 'minmax(100px, 0.8fr)' },
  { id: 'since', title: 'Since, by', track: 'minmax(140px, 0.9fr)' },
  { id: 'undo', title: 'How it is undone', track: 'minmax(240px, 1.8fr)' },
  { id: 'done', title: 'Undo', quiet: true, track: '76px' },
];
const NEW = 'new temporary thing';

/** What is there only for the time of the work, whoever made it; each is undone from here. */
export function TemporaryPage() {
  const project = useStateOf((s) => s.project.project)!;
  const dispatch = useAppDispatch();
  const { view, act } = useRehearsal();
  const things = useMemo(() => temporaryThings(project), [project]);
  const rows = [...things.map(row), newRow];
  return (
    <>
      <SiteTitle>
        <AuthorField />
      </SiteTitle>
      <Grid
        label="Temporary things"
        main
        columns={COLUMNS}
        rows={rows}
        onEdit={(edits) => edits.forEach(({ row: id, text }) => id === NEW && text.trim() !== '' && add(text.trim()))}
      />
    </>
  );

  function row(thing: Temporary): GridRow {
    const { key, what, sort, station, by, at, undo } = thing;
    const since = at === '' ? by : `${formatWhenShort(at)}, ${by || 'not named'}`;
    return {
      id: key,
      height: 26,
      cells: [
        { text: what },
        { text: sort },
        { text: station === null ? '' : (project.get('station', station)?.name ?? '') },
        { text: since, muted: true },
        { text: undo, muted: true },
        thing.changes ? { text: 'Undo', action: { label: `Undo: ${what}`, run: () => takeBack(thing) } } : { text: '' },
      ],
    };
  }
  function takeBack({ what, changes, held }: Temporary) {
    // What runs is told, and takes it out of the list; where nothing runs any more it only goes from the list.
    if (held && view) {
      if (held.sort === 'held in rehearsal') return act({ what: 'let go', id: held.link, key: held.value });
      return act({ what: 'take back', id: held.link });
    }
    dispatch(edit(`Undone: ${what}`, changes ?? []));
    dispatch(projectSlice.actions.noticed(`Undone: ${what}.`));
  }
  function add(what: string) {
    const order = orderAfter(project.all('temporary'));
    const thing = {
      id: newId(),
      order,
      sort: 'other' as const,
      what,
      by: currentAuthor(),
      at: new Date().toISOString(),
    };
    dispatch(edit(`Temporary: ${what}`, [put('temporary', thing)]));
  }
}

const newRow: GridRow = {
  id: NEW,
  height: 26,
  tone: 'new',
  cells: [
    {
      text: '',
      show: 'new temporary thing',
      editable: true,
      muted: true,
      about: {
        title: 'What is temporary',
        help: 'Something that was put in for the time of the work: a typed output, an offset, access that was opened.',
        examples: ['Fan 2 held on at its own panel', 'Level of tank 3 with an offset of 2 %'],
      },
    },
    null,
    null,
    null,
    null,
    null,
  ],
};
