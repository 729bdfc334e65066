import { set } from '@dialoga/core/change';
import { editPermitted, editRoute } from '@dialoga/core/fields';
import { entriesInOrder, inOrder, type Route } from '@dialoga/core/model';
import { judgeText } from '@dialoga/core/route';
import { useGridLink, type Shown } from '../findings/use-grid-link';
import { newRow } from '../grid/new-row';
import type { GridColumn, GridRow } from '../grid/types';
import { SmallGrid } from '../grid/small-grid';
import { useTable } from '../grid/use-table';
import { useEdits } from '../store/use-edits';
import { newId } from '../api/new-id';
import { useStateOf } from '../store/store';

const SHOWN: Shown = { kind: 'route', fields: [null, 'stated', null, null, null] };
const COLUMNS: readonly GridColumn[] = [
  { id: 'what', title: 'Text', track: '150px' },
  { id: 'text', title: 'As typed', names: true, track: 'minmax(260px, 2fr)' },
  { id: 'hop', title: 'Hop', track: '50px', right: true },
  { id: 'judged', title: 'Read back', names: true, track: 'minmax(260px, 2fr)' },
  { id: 'to', title: 'Leads to', names: true, track: '140px' },
];

/** From what a program builds the text while it runs. */
const builtRow = (from: string): GridRow => ({
  id: 'built',
  height: 26,
  cells: [
    { text: 'built from', muted: true },
    { text: from, editable: true },
    null,
    { text: 'while the program runs', muted: true },
    null,
  ],
});

/** What was typed for a route, read back and judged: the text itself, and those that a program may build. */
export function TextsGrid({ route, right }: { route: Route; right: string }) {
  const project = useStateOf((s) => s.project.project)!;
  const commit = useEdits();
  const link = useGridLink(SHOWN);
  const nameOf = (id: string) => project.get('station', id)?.name ?? '';
  const judged = (text: string, to: string) => {
    if (text.trim() === '') return { hop: '', words: 'nothing is typed yet', differs: false };
    const [first, ...more] = judgeText(project, { ...route, to }, text).faults;
    if (!first) return { hop: '', words: 'it is the right one', differs: false };
    const further = more.length > 0 ? `, and ${more.length} more` : '';
    const hop = first.hop === null ? '' : String(first.hop + 1);
    return { hop, words: `${first.found}; right is ${first.right || 'another'}${further}`, differs: true };
  };
  const stations = inOrder(project, 'station').map(({ name }) => name);
  const rowOf = (id: string, what: string, text: string, to: string): GridRow => {
    const { hop, words, differs } = judged(text, to);
    return {
      id,
      height: 26,
      cells: [
        { text: what, muted: true },
        { text, editable: true, mono: true, differs },
        { text: hop, right: true },
        { text: words, muted: !differs },
        { text: nameOf(to), muted: to === route.to, editable: id !== route.id, options: stations },
      ],
    };
  };
  const permitted = entriesInOrder(route.built?.permitted ?? {});
  const rows = [
    rowOf(route.id, 'typed', route.stated, route.to),
    ...(route.built ? [builtRow(route.built.from)] : []),
    ...permitted.map(([key, { text, to }]) => rowOf(`permitted ${key}`, 'may be built', text, to ?? route.to)),
    newRow(COLUMNS.length, 1, 'one that a program may build'),
  ];
  const permittedKey = 'permitted ';
  const table = useTable({
    ...{ label: 'Edit the text of a route', columns: COLUMNS, rows },
    begin(now, _, column, text) {
      const [known, key] = [now.get('route', route.id), newId()];
      if (COLUMNS[column]?.id === 'to' || !known) return null;
      return { row: `${permittedKey}${key}`, edits: [editPermitted(now, known, key, 'text', text)] };
    },
    edit(now, row, column, text) {
      const known = now.get('route', route.id);
      if (!known) return [];
      if (row === 'built') return [{ changes: [set('route', known, ['built', 'from'], text.trim())], problem: null }];
      if (row === known.id) return [editRoute(now, known, 'stated', text)];
      const key = row.slice(permittedKey.length);
      return [editPermitted(now, known, key, COLUMNS[column]?.id === 'to' ? 'to' : 'text', text)];
    },
  });
  return (
    <>
      <SmallGrid label="Texts" {...table} link={link} />
      {route.built && (
        <label>
          <input
            type="checkbox"
            checked={route.built.checked}
            onChange={(event) =>
              commit('Edit the text of a route', [
                { changes: [set('route', route, ['built', 'checked'], event.target.checked)], problem: null },
              ])
            }
          />{' '}
          the program takes no text but those that may be built
        </label>
      )}
      {right === '' && <p>There is no way yet, so no text can be right.</p>}
    </>
  );
}
