import { connectionTags } from '@dialoga/core/exchange';
import { editEnd, type EndField } from '@dialoga/core/fields';
import { ELEMENT_BITS, REFERENCE_FIELDS, type End, type Exchange, type ReferenceField } from '@dialoga/core/model';
import { formatBits } from '@dialoga/core/place';
import { protocolAt, protocolOf } from '@dialoga/core/protocol';
import { pageTotals } from '@dialoga/core/sheet';
import { boundTo } from '@dialoga/core/tags';
import { TOLD_WORDS } from '@dialoga/core/told';
import { useGridLink, type Shown } from '../../findings/use-grid-link';
import { useWrongCells } from '../../findings/use-wrong-cells';
import type { GridCell, GridColumn, GridRow } from '../../grid/types';
import { SmallGrid } from '../../grid/small-grid';
import { useTable } from '../../grid/use-table';
import { useEdits } from '../../store/use-edits';
import { newId } from '../../api/new-id';
import { projectSlice } from '../../store/project-slice';
import { useAppDispatch, useStateOf } from '../../store/store';
import { TextButton } from '../../theme/parts';
import { space } from '../../theme/tokens';

const columnsOf = (fields: readonly ReferenceField[]): readonly GridColumn[] => [
  { id: 'end', title: 'End', names: true, track: 'minmax(130px, 1fr)' },
  ...fields.map((field) => ({
    id: field,
    title: TOLD_WORDS[field][0]!.toUpperCase() + TOLD_WORDS[field].slice(1),
    track: 'minmax(110px, 1fr)',
  })),
  { id: 'elementBits', title: 'Elements of', track: '100px' },
  { id: 'permitted', title: 'Chosen at run time', track: '140px' },
  { id: 'sends', title: 'Reserved for sending', track: '150px', right: true },
  { id: 'takes', title: 'Reserved for receiving', track: '150px', right: true },
];

/** In bytes and in words, whatever the end counts in. */
const reserved = (bits: number): GridCell => ({
  text: bits === 0 ? '' : `${formatBits(bits, 8)}, ${formatBits(bits, 16)}`,
  right: true,
  muted: true,
});

/** Connection numbers, instances and element widths of each end, and the tags that its connection creates. */
export function ReferencesSection({ exchange, ends }: { exchange: Exchange; ends: readonly End[] }) {
  const project = useStateOf((s) => s.project.project)!;
  const commit = useEdits();
  const dispatch = useAppDispatch();
  const wrong = useWrongCells('end');
  // Those that a protocol of one of the ends knows, and those that somebody has typed all the same.
  const known = (end: End, field: ReferenceField) =>
    (protocolAt(exchange, end).references?.fields.includes(field) ?? false) || end.references?.[field] !== undefined;
  const fields = REFERENCE_FIELDS.filter((field) => ends.some((end) => known(end, field)));
  const columns: readonly (EndField | null)[] = [null, ...fields, 'elementBits', 'permitted'];
  const shown: Shown = {
    kind: 'end',
    fields: [null, ...fields.map((f) => `references.${f}`), 'elementBits', 'permitted'],
  };
  const link = useGridLink(shown);
  const name = (end: End) => project.get('station', end.station)?.name ?? '';
  const rows = ends.map((end): GridRow => {
    const totals = pageTotals(project, end);
    return {
      id: end.id,
      height: 26,
      cells: [
        { text: name(end) },
        ...fields.map((field): GridCell | null => {
          const text = end.references?.[field] ?? '';
          if (!known(end, field)) return null;
          return { text, editable: true, mono: true, differs: wrong(end.id, 'references', field) };
        }),
        {
          text: end.elementBits ? String(end.elementBits) : '',
          show: end.elementBits ? `${end.elementBits} bits` : 'bytes',
          editable: true,
          options: ELEMENT_BITS.map(String),
          muted: !end.elementBits,
          differs: wrong(end.id, 'elementBits'),
        },
        { text: end.permitted ? 'yes' : 'no', editable: true, options: ['yes', 'no'], muted: !end.permitted },
        reserved(totals.writes),
        reserved(totals.reads),
      ],
    };
  });
  const table = useTable({
    ...{ label: `${exchange.name}: references`, columns: columnsOf(fields), rows },
    edit(now, row, column, text) {
      const [end, field] = [now.get('end', row), columns[column]];
      return end && field ? [editEnd(end, field, text)] : [];
    },
  });
  const { declares } = protocolOf(exchange);
  const callers = ends.filter((end) => end.calling === 'calls' && protocolAt(exchange, end).references);
  return (
    <>
      <SmallGrid label="References" {...table} link={link} />
      <p style={{ paddingTop: space[2] }}>
        {declares && `Whoever listens declares ${declares}. `}
        {callers.map((end) => {
          const changes = connectionTags(project, exchange, end, newId);
          if (changes.length === 0) return null;
          return (
            <TextButton
              key={end.id}
              onPress={() => {
                const renamed = changes.filter((c) => c.kind === 'tag' && c.path[0] === 'name');
                const bound = renamed.flatMap((c) => boundTo(project, c.id));
                commit(`${name(end)}: tags of the connection`, [{ changes, problem: null }]);
                if (bound.length > 0) {
                  const what = `Renamed with what is bound to them: ${bound.join(', ')}.`;
                  dispatch(projectSlice.actions.noticed(what));
                }
              }}
            >
              Tags that the connection creates at {name(end)}
            </TextButton>
          );
        })}
      </p>
    </>
  );
}
