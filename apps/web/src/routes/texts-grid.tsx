import { set } from '@dialoga/core/change';
import { addPermitted, editField, entriesOf, PERMITTED, ROUTE } from '@dialoga/core/fields';
import { inOrder, type Project, type Route } from '@dialoga/core/model';
import { judgeText } from '@dialoga/core/route';
import { Tick } from '../forms/tick';
import { newId } from '../api/new-id';
import { typingNow } from '../entities/use-shown';
import { useGridLink } from '../findings/use-grid-link';
import { newRow } from '../grid/new-row';
import { SmallGrid } from '../grid/small-grid';
import type { GridColumn, GridRow } from '../grid/types';
import { useTable } from '../grid/use-table';
import { useStateOf } from '../store/store';
import { useEdits } from '../store/use-edits';

const COLUMNS: readonly GridColumn[] = [
  { id: 'what', title: 'Text', track: '150px' },
  { id: 'text', title: 'As typed', names: true, track: 'minmax(260px, 2fr)' },
  { id: 'hop', title: 'Hop', track: '50px', right: true },
  { id: 'judged', title: 'Read back', names: true, track: 'minmax(260px, 2fr)' },
  { id: 'to', title: 'Leads to', names: true, track: '140px' },
];
const [TEXT, TO] = [1, 4];
type Permitted = NonNullable<Route['built']>['permitted'][string];

/** What was typed for a route, read back and judged: the text itself, and those that a program may build. */
export function TextsGrid({ route, right }: { route: Route; right: string }) {
  const project = useStateOf((s) => s.project.project)!;
  const commit = useEdits();
  const link = useGridLink();
  const rows = [
    statedRow(project, route),
    ...(route.built ? [builtRow(route, route.built.from)] : []),
    ...entriesOf<'route', Permitted>(route, ['built', 'permitted']).map((row) => permittedRow(project, row)),
    freshRow(route),
  ];
  const table = useTable({ label: 'Edit the text of a route', columns: COLUMNS, rows });
  return (
    <>
      <SmallGrid label="Texts" {...table} link={link(rows)} />
      {route.built && (
        <Tick
          isSelected={route.built.checked}
          onChange={(on) =>
            commit('Edit the text of a route', [
              { changes: [set('route', route, ['built', 'checked'], on)], problem: null },
            ])
          }
        >
          the program takes no text but those that may be built
        </Tick>
      )}
      {right === '' && <p>There is no way yet, so no text can be right.</p>}
    </>
  );
}

/** A text read back: at which hop it is wrong first, and how. */
function judged(project: Project, route: Route, text: string): { hop: string; words: string; differs: boolean } {
  if (text.trim() === '') return { hop: '', words: 'nothing is typed yet', differs: false };
  const [first, ...more] = judgeText(project, route, text).faults;
  if (!first) return { hop: '', words: 'it is the right one', differs: false };
  const further = more.length > 0 ? `, and ${more.length} more` : '';
  const hop = first.hop === null ? '' : String(first.hop + 1);
  return { hop, words: `${first.found}; right is ${first.right || 'another'}${further}`, differs: true };
}

function textRow(project: Project, route: Route, what: string, text: string, to: string): GridRow['cells'] {
  const { hop, words, differs } = judged(project, { ...route, to }, text);
  return [
    { text: what, muted: true },
    {
      text,
      editable: true,
      mono: true,
      differs,
      about: what === 'typed' ? ROUTE.fields.stated : PERMITTED.fields.text,
    },
    { text: hop, right: true },
    { text: words, muted: !differs },
    {
      text: project.get('station', to)?.name ?? '',
      muted: to === route.to,
      editable: what !== 'typed',
      options: inOrder(project, 'station').map(({ name }) => name),
      about: PERMITTED.fields.to,
    },
  ];
}

function statedRow(project: Project, route: Route): GridRow {
  return {
    id: route.id,
    height: 26,
    of: ROUTE.refOf(route),
    paths: [null, ['stated'], null, null, null],
    cells: textRow(project, route, 'typed', route.stated, route.to),
    edit: (now, column, text) => {
      const known = now.get('route', route.id);
      return known && column === TEXT ? [editField(ROUTE, 'stated', known, text, typingNow(now))] : [];
    },
  };
}

/** From what a program builds the text while it runs. */
const builtRow = (route: Route, from: string): GridRow => ({
  id: 'built',
  height: 26,
  cells: [
    { text: 'built from', muted: true },
    { text: from, editable: true },
    null,
    { text: 'while the program runs', muted: true },
    null,
  ],
  edit: (now, _, text) => {
    const known = now.get('route', route.id);
    return known ? [{ changes: [set('route', known, ['built', 'from'], text.trim())], problem: null }] : [];
  },
});

function permittedRow(project: Project, row: Parameters<typeof PERMITTED.refOf>[0]): GridRow {
  const of = PERMITTED.refOf(row);
  return {
    id: `permitted ${row.key}`,
    height: 26,
    of,
    paths: [null, ['text'], null, null, ['to']],
    cells: textRow(project, row.entity, 'may be built', row.entry.text, row.entry.to ?? row.entity.to),
    edit: (now, column, text) => {
      const known = PERMITTED.find(now, of);
      return known ? [editField(PERMITTED, column === TO ? 'to' : 'text', known, text, typingNow(now))] : [];
    },
  };
}

const freshRow = (route: Route): GridRow =>
  newRow(COLUMNS.length, TEXT, 'one that a program may build', {
    begin: (now, _, text) => {
      const [known, key] = [now.get('route', route.id), newId()];
      const ref = { kind: 'route' as const, id: route.id, path: ['built', 'permitted', key] };
      return {
        edits: known ? [addPermitted(known, key, text)] : [],
        then: (after, column, other) => {
          const made = PERMITTED.find(after, ref);
          return made && column === TO ? [editField(PERMITTED, 'to', made, other, typingNow(after))] : [];
        },
      };
    },
  });
