import { set } from '@dialoga/core/change';
import { addEnd } from '@dialoga/core/exchange';
import { editTold } from '@dialoga/core/fields';
import { childrenOf, inOrder, type End, type Port, type Project, type ToldFieldName } from '@dialoga/core/model';
import { protocolOf } from '@dialoga/core/protocol';
import { refused, type FieldEdit } from '@dialoga/core/text';
import { TOLD_WORDS, toldFields } from '@dialoga/core/told';
import { useState } from 'react';
import { useParams } from 'react-router';
import { useGridLink } from '../findings/use-grid-link';
import { Grid } from '../grid/grid';
import { newRow } from '../grid/new-row';
import type { GridCell, GridColumn, GridRow } from '../grid/types';
import { useTable } from '../grid/use-table';
import { drop } from '../store/dropping';
import { newId } from '../api/new-id';
import { useAppDispatch, useStateOf } from '../store/store';
import { TextButton } from '../theme/parts';
import { ExchangeSettings } from './exchange-settings';
import { Title } from './sheet-styles';

const TOLD: readonly ToldFieldName[] = ['address', 'tcpPort', 'node', 'unit', 'telemetry', 'name', 'slot', 'type'];
const FIRST_TOLD = 4;
const PATHS = [...Array.from({ length: FIRST_TOLD }, () => null), ...TOLD.map((field) => [field])];
const COLUMNS: readonly GridColumn[] = [
  { id: 'tool', title: 'Tools on', names: true, track: 'minmax(110px, 1fr)' },
  {
    id: 'by',
    title: 'By its adapter',
    names: true,
    track: 'minmax(96px, 1fr)',
    help: 'The adapter of its computer that the tool goes out by.',
  },
  { id: 'station', title: 'Target station', names: true, track: 'minmax(110px, 1fr)' },
  {
    id: 'port',
    title: 'Reached at',
    names: true,
    track: 'minmax(110px, 1fr)',
    help: 'The port of the target that it is reached at.',
  },
  ...TOLD.map((field) => ({
    id: field,
    title: TOLD_WORDS[field][0]!.toUpperCase() + TOLD_WORDS[field].slice(1),
    track: 'minmax(88px, 1fr)',
  })),
];

const [BY, AT] = [1, 3];

const portsOf = (project: Project, end: End): Port[] => childrenOf(project, 'port', end.station);
const portName = ({ name, address }: Port): string => name || address;

/** The port of an end, chosen by its name or its address. */
const portCell = (project: Project, end: End, network?: string): GridCell => {
  const port = end.port ? project.get('port', end.port) : undefined;
  const text = port ? portName(port) : '';
  const shown = network && text ? `${text}, ${network}` : text || 'not chosen';
  return { text, show: shown, muted: text === '', editable: true, options: portsOf(project, end).map(portName) };
};

function throughPort(project: Project, id: string, text: string): FieldEdit {
  const end = project.get('end', id);
  if (!end) return { changes: [], problem: null };
  if (text === '') return { changes: [set('end', end, ['port'], null)], problem: null };
  const ports = portsOf(project, end);
  const found = ports.find((port) => [port.name, port.address].some((one) => one.toLowerCase() === text.toLowerCase()));
  const expected = `its ports are ${ports.map(portName).join(', ') || 'none yet'}`;
  return found
    ? { changes: [set('end', end, ['port'], found.id)], problem: null }
    : refused({ found: `there is no port “${text}”`, expected });
}

/** A service link moves no data: each tool with what it was told of every station that it works on, and what is so. */
export function ServicePage() {
  const { exchange: id = '' } = useParams();
  const project = useStateOf((s) => s.project.project)!;
  const dispatch = useAppDispatch();
  const [settings, setSettings] = useState(false);
  const link = useGridLink();
  const exchange = project.get('exchange', id)!;
  const ends = childrenOf(project, 'end', id);
  const tools = ends.filter((e) => e.calling !== 'listens');
  const name = (end: End) => project.get('station', end.station)?.name ?? '';
  const rows = tools.flatMap((tool) => {
    const told = toldFields(project, exchange, tool);
    return ends
      .filter((e) => e.calling === 'listens')
      .map((other, i): GridRow => {
        const port = other.port ? project.get('port', other.port) : undefined;
        const network = port?.network ? project.get('network', port.network)?.name : undefined;
        const cells = TOLD.map((field): GridCell | null => {
          const value = told.find((t) => t.other.id === other.id && t.field === field);
          if (!value) return null;
          const text = value.isDefault ? '' : value.told;
          const cell = { text, editable: true, mono: field !== 'type' };
          if (text === '') return { ...cell, show: value.optional ? 'left out' : 'not set', muted: true, mono: false };
          if (value.truth === null) return { ...cell, show: `${text}, is not known` };
          return value.same ? cell : { ...cell, show: `${text}, is ${value.truth}`, differs: true };
        });
        return {
          id: `${tool.id} ${other.id}`,
          height: 26,
          paths: PATHS,
          of: { kind: 'end', id: tool.id, path: ['told', other.id] },
          edit: (now, column, text) => {
            const [end, field] = [now.get('end', tool.id), TOLD[column - FIRST_TOLD]];
            if (column === BY || column === AT) return [throughPort(now, column === BY ? tool.id : other.id, text)];
            return end && field ? [editTold(end, other.id, field, text)] : [];
          },
          cells: [
            { text: i === 0 ? name(tool) : '' },
            i === 0 ? portCell(project, tool) : { text: '' },
            { text: name(other) },
            portCell(project, other, network),
            ...cells,
          ],
        };
      });
  });

  const fresh = newRow(COLUMNS.length, 2, 'new: a station', {
    begin: (now, _, text) => {
      const station = inOrder(now, 'station').find((s) => s.name.toLowerCase() === text.toLowerCase());
      const expected = 'write the name of a station';
      if (!station) return { edits: [refused({ found: `there is no station “${text}”`, expected })] };
      const end = addEnd(now, id, station.id, newId);
      return {
        edits: [{ changes: end.changes, problem: null }],
        then: (after, column, other) => {
          const [tool, field] = [after.get('end', tools[0]?.id ?? ''), TOLD[column - FIRST_TOLD]];
          return tool && field ? [editTold(tool, end.id, field, other)] : [];
        },
      };
    },
  });
  const all = [...rows, fresh];
  const table = useTable({ label: `Edit ${exchange.name}`, columns: COLUMNS, rows: all });
  return (
    <>
      <Title>
        <h1 dir="auto">{exchange.name || 'Service link without a name'}</h1>
        <p>
          {exchange.kind} · {protocolOf(exchange).name} · {exchange.comment || 'what is entered at the tools'}
        </p>
        <div>
          <TextButton aria-expanded={settings} onPress={() => setSettings(!settings)}>
            Settings
          </TextButton>
        </div>
      </Title>
      {settings && <ExchangeSettings exchange={exchange} />}
      <Grid
        label={`${exchange.name}, what is entered`}
        main
        {...table}
        {...link(all)}
        onKey={(event, at) => {
          const other = rows.find(({ id }) => id === at.row)?.of?.path[1];
          if (event.key !== 'Delete' || !event.ctrlKey || !other || ends.length < 3) return false;
          dispatch(drop(`${exchange.name}: one station less`, 'end', other));
          return true;
        }}
      />
    </>
  );
}
