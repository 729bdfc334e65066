import { editRoute, entriesInOrder, judgeText, orderAfter, set, type FieldEdit, type Route } from '@dialoga/core';
import { useGridLink, type Shown } from '../findings/use-grid-link';
import { newRow } from '../grid/new-row';
import type { CellEdit, GridColumn, GridRow } from '../grid/types';
import { SmallGrid } from '../stations/small-grid';
import { useEdits } from '../stations/use-edits';
import { newId } from '../store/new-id';
import { useStateOf } from '../store/store';

const SHOWN: Shown = { kind: 'route', fields: [null, 'stated', null, null] };
const COLUMNS: readonly GridColumn[] = [
  { id: 'what', title: 'Text', track: '150px' },
  { id: 'text', title: 'As typed', names: true, track: 'minmax(260px, 2fr)' },
  { id: 'hop', title: 'Hop', track: '50px', right: true },
  { id: 'judged', title: 'Read back', names: true, track: 'minmax(260px, 2fr)' },
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
  ],
});

/** What was typed for a route, read back and judged: the text itself, and those that a program may build. */
export function TextsGrid({ route, right }: { route: Route; right: string }) {
  const project = useStateOf((s) => s.project.project)!;
  const commit = useEdits();
  const link = useGridLink(SHOWN);
  const judged = (text: string) => {
    if (text.trim() === '') return { hop: '', words: 'nothing is typed yet', differs: false };
    const [first, ...more] = judgeText(project, route, text).faults;
    if (!first) return { hop: '', words: 'it is the right one', differs: false };
    const further = more.length > 0 ? `, and ${more.length} more` : '';
    const hop = first.hop === null ? '' : String(first.hop + 1);
    return { hop, words: `${first.found}; right is ${first.right || 'another'}${further}`, differs: true };
  };
  const rowOf = (id: string, what: string, text: string): GridRow => {
    const { hop, words, differs } = judged(text);
    return {
      id,
      height: 26,
      cells: [
        { text: what, muted: true },
        { text, editable: true, mono: true, differs },
        { text: hop, right: true },
        { text: words, muted: !differs },
      ],
    };
  };
  const permitted = entriesInOrder(route.built?.permitted ?? {});
  const rows = [
    rowOf(route.id, 'typed', route.stated),
    ...(route.built ? [builtRow(route.built.from)] : []),
    ...permitted.map(([key, { text }]) => rowOf(`permitted ${key}`, 'may be built', text)),
    newRow(COLUMNS.length, 1, 'one that a program may build'),
  ];
  function onEdit(edits: CellEdit[]) {
    commit(
      'Edit the text of a route',
      edits.flatMap(({ row, text }): FieldEdit[] => {
        if (row === 'built') return [{ changes: [set('route', route, ['built', 'from'], text.trim())], problem: null }];
        if (row === route.id) return [editRoute(project, route, 'stated', text)];
        const key = row.startsWith('permitted ') ? row.slice(10) : newId();
        if (row.startsWith('permitted ')) {
          const path = ['built', 'permitted', key];
          const whole = text.trim() === '';
          return [
            {
              changes: [set('route', route, whole ? path : [...path, 'text'], whole ? undefined : text)],
              problem: null,
            },
          ];
        }
        if (text.trim() === '') return [];
        const entry = { order: orderAfter(Object.values(route.built?.permitted ?? {})), text };
        const change = route.built
          ? set('route', route, ['built', 'permitted', key], entry)
          : set('route', route, ['built'], { from: 'the program', checked: false, permitted: { [key]: entry } });
        return [{ changes: [change], problem: null }];
      }),
    );
  }
  return (
    <>
      <SmallGrid label="Texts" columns={COLUMNS} rows={rows} onEdit={onEdit} link={link} />
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
