import { missingSteps, proposeStart, stepWords } from '@dialoga/core/exchange';
import { dropStep, editStep, type StepColumn } from '@dialoga/core/fields';
import { childrenOf, entriesInOrder, type Exchange } from '@dialoga/core/model';
import { newRow } from '../../grid/new-row';
import type { GridColumn, GridRow } from '../../grid/types';
import { SmallGrid } from '../../grid/small-grid';
import { useTable } from '../../grid/use-table';
import { useEdits } from '../../store/use-edits';
import { newId } from '../../api/new-id';
import { useStateOf } from '../../store/store';
import { SectionHead, TextButton } from '../../theme/parts';

const FIELDS: readonly (StepColumn | null)[] = [null, 'end', 'does', null];
const COLUMNS: readonly GridColumn[] = [
  { id: 'number', title: 'Step', track: '52px' },
  { id: 'end', title: 'Program of', track: 'minmax(130px, 0.6fr)' },
  { id: 'does', title: 'Sets, or waits to see', track: 'minmax(220px, 2fr)' },
  { id: 'from', title: 'From its reserved block', track: 'minmax(160px, 1fr)' },
];

/** What the programs set and see, in order, until the exchange runs; proposed from the reserved blocks of the stations. */
export function StartSection({ exchange }: { exchange: Exchange }) {
  const project = useStateOf((s) => s.project.project)!;
  const commit = useEdits();
  const missing = missingSteps(project, exchange);
  const ends = childrenOf(project, 'end', exchange.id);
  const nameOf = (id: string | null | undefined) => {
    const end = ends.find((e) => e.id === id);
    return (end && project.get('station', end.station)?.name) ?? '';
  };
  const rows = entriesInOrder(exchange.start ?? {}).map(([id, step], i): GridRow => {
    const [area = '', reservation = '', member = ''] = (step.member ?? '').split(' ');
    const block = project.get('area', area)?.reservations[reservation];
    const part = block?.members?.[member];
    return {
      id,
      height: 26,
      cells: [
        { text: String(i + 1), muted: true },
        { text: nameOf(step.end), editable: true, options: ends.map((e) => nameOf(e.id)) },
        { text: step.does, editable: true },
        { text: part ? `${part.name}, ${part.use}, of ${block?.owner ?? ''}` : '', muted: true },
      ],
    };
  });
  const table = useTable({
    ...{ label: `${exchange.name}: start sequence`, columns: COLUMNS },
    rows: [...rows, newRow(COLUMNS.length, 2, 'new step')],
    begin(now, _, column, text) {
      const [known, id] = [now.get('exchange', exchange.id), newId()];
      return column === 2 && known ? { row: id, edits: [editStep(now, known, id, 'does', text)] } : null;
    },
    edit(now, row, column, text) {
      const [known, field] = [now.get('exchange', exchange.id), FIELDS[column]];
      return known && field ? [editStep(now, known, row, field, text)] : [];
    },
  });
  return (
    <>
      <SectionHead>
        <h2>Start sequence</h2>
        <p>
          {missing.length > 0
            ? `not in it yet: ${missing.map(stepWords).join('; ')}`
            : 'who listens first, then who calls'}
        </p>
        {missing.length > 0 && (
          <TextButton
            onPress={() =>
              commit(`${exchange.name}: start sequence`, [{ changes: proposeStart(project, exchange), problem: null }])
            }
          >
            Add them
          </TextButton>
        )}
      </SectionHead>
      <SmallGrid
        label="Start sequence"
        {...table}
        onDrop={(id) => commit(`${exchange.name}: one step less`, [dropStep(exchange, id)])}
      />
    </>
  );
}
