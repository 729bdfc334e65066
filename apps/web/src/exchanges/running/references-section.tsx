import { END } from '@dialoga/core/fields';
import { REFERENCE_FIELDS, type End, type Exchange } from '@dialoga/core/model';
import { EntityGrid } from '../../entities/entity-grid';
import { connectionTags } from '@dialoga/core/exchange';
import { formatBits } from '@dialoga/core/place';
import { protocolAt, protocolOf } from '@dialoga/core/protocol';
import { pageTotals } from '@dialoga/core/sheet';
import { boundTo } from '@dialoga/core/tags';
import { useEdits } from '../../store/use-edits';
import { newId } from '../../api/new-id';
import { projectSlice } from '../../store/project-slice';
import { useAppDispatch, useStateOf } from '../../store/store';
import { TextButton } from '../../theme/parts';
import { space } from '../../theme/tokens';

/** In bytes and in words, whatever the end counts in. */
const reserved = (bits: number): string => (bits === 0 ? '' : `${formatBits(bits, 8)}, ${formatBits(bits, 16)}`);

/** Connection numbers, instances and element widths of each end, and the tags that its connection creates. */
export function ReferencesSection({ exchange, ends }: { exchange: Exchange; ends: readonly End[] }) {
  const project = useStateOf((s) => s.project.project)!;
  const commit = useEdits();
  const dispatch = useAppDispatch();
  const columns = [
    'station' as const,
    ...REFERENCE_FIELDS.filter((field) => ends.some((end) => END.fields[field].has!(end, project))),
    ...(['elementBits', 'permitted', 'sends', 'takes'] as const),
  ];
  const name = (end: End) => project.get('station', end.station)?.name ?? '';
  const { declares } = protocolOf(exchange);
  const callers = ends.filter((end) => end.calling === 'calls' && protocolAt(exchange, end).references);
  return (
    <>
      <EntityGrid
        label="References"
        of={END}
        rows={ends}
        columns={columns}
        step={`${exchange.name}: references`}
        onDrop={null}
        strict
        look={(end, field) => {
          if (field === 'sends') return { text: reserved(pageTotals(project, end).writes) };
          return field === 'takes' ? { text: reserved(pageTotals(project, end).reads) } : undefined;
        }}
      />
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
