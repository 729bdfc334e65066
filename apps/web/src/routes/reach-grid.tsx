import { dropWithDependents, put } from '@dialoga/core/change';
import { editExpectation, readPair } from '@dialoga/core/fields';
import { EXPECTED_REACH, inOrder, orderAfter, TRAFFICS, type Expectation } from '@dialoga/core/model';
import type { Ways } from '@dialoga/core/route';
import { useMemo } from 'react';
import { useGridLink, type Shown } from '../findings/use-grid-link';
import { useWrongCells } from '../findings/use-wrong-cells';
import { newRow } from '../grid/new-row';
import type { GridColumn, GridRow } from '../grid/types';
import { SmallGrid } from '../grid/small-grid';
import { useTable } from '../grid/use-table';
import { useEdits } from '../store/use-edits';
import { newId } from '../api/new-id';
import { useStateOf } from '../store/store';

const FIELDS = ['from', 'must', 'to', 'traffic', null, null, null, 'reason'] as const;
const SHOWN: Shown = { kind: 'expectation', fields: FIELDS };
const COLUMNS: readonly GridColumn[] = [
  { id: 'from', title: 'Station', names: true, track: 'minmax(110px, 1fr)' },
  { id: 'must', title: 'Expected', track: '122px' },
  { id: 'to', title: 'The other', names: true, track: 'minmax(110px, 1fr)' },
  { id: 'traffic', title: 'With', track: '122px' },
  { id: 'holds', title: 'Met', track: '60px' },
  { id: 'why', title: 'Through what, or what stops it', names: true, track: 'minmax(200px, 2fr)' },
  { id: 'back', title: 'Return path', names: true, track: 'minmax(160px, 1.6fr)' },
  { id: 'reason', title: 'Reason', names: true, track: 'minmax(110px, 1fr)' },
];

/** What is kept apart, and what has to get through. */
/** `ways`: null while they are looked for. */
export function ReachGrid({ ways }: { ways: Ways | null }) {
  const project = useStateOf((s) => s.project.project)!;
  const commit = useEdits();
  const wrong = useWrongCells('expectation');
  const link = useGridLink(SHOWN);
  const all = inOrder(project, 'expectation');
  const stations = useMemo(() => inOrder(project, 'station').map((s) => s.name), [project]);
  const rowFor = (expected: Expectation): GridRow => {
    const found = ways?.reach[expected.id] ?? null;
    const name = (id: string) => project.get('station', id)?.name ?? '';
    return {
      id: expected.id,
      height: 26,
      cells: [
        { text: name(expected.from), editable: true, options: stations },
        { text: expected.must, editable: true, options: EXPECTED_REACH, differs: wrong(expected.id, 'must') },
        { text: name(expected.to), editable: true, options: stations },
        { text: expected.traffic, editable: true, options: TRAFFICS },
        { text: found === null ? '…' : found.holds ? 'yes' : 'no', differs: found?.holds === false },
        { text: found?.why ?? 'looked for …', muted: true },
        { text: found?.back ?? '', muted: true },
        { text: expected.reason ?? '', editable: true },
      ],
    };
  };
  const table = useTable({
    ...{ label: 'Edit expectations', columns: COLUMNS },
    rows: [...all.map(rowFor), newRow(COLUMNS.length, 0, 'new, as A → B')],
    begin(now, _, column, text) {
      if (column !== 0) return null;
      const pair = readPair(now, text);
      if ('changes' in pair) return { row: '', edits: [pair] };
      const expected: Expectation = {
        ...{ id: newId(), order: orderAfter(inOrder(now, 'expectation')), from: pair.from.id, to: pair.to.id },
        ...{ traffic: 'requests', must: 'must not reach' },
      };
      const edits = [{ changes: [put('expectation', expected)], problem: null }];
      return { row: expected.id, label: 'New expectation', edits };
    },
    edit(now, row, column, text) {
      const [expected, field] = [now.get('expectation', row), FIELDS[column]];
      return expected && field ? [editExpectation(now, expected, field, text)] : [];
    },
  });
  return (
    <SmallGrid
      label="Required and forbidden access"
      {...table}
      link={link}
      onDrop={(id) =>
        commit('Delete expectation', [{ changes: dropWithDependents(project, 'expectation', id), problem: null }])
      }
    />
  );
}
