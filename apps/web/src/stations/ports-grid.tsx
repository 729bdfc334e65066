import { changesNothing, put } from '@dialoga/core/change';
import { newPort } from '@dialoga/core/create';
import {
  editPort,
  furtherText,
  keepForSettingBack,
  listeningText,
  offText,
  POOL_UNKNOWN,
  tunnelText,
  type PortColumn,
} from '@dialoga/core/fields';
import {
  ADDRESS_SOURCES,
  childrenOf,
  inOrder,
  orderAfter,
  PURPOSES,
  type Port,
  type Project,
} from '@dialoga/core/model';
import { listeningOn } from '@dialoga/core/wiring';
import { useWrongCells } from '../findings/use-wrong-cells';
import { useGridLink, type Shown } from '../findings/use-grid-link';
import { newRow } from '../grid/new-row';
import type { GridCell, GridColumn } from '../grid/types';
import { drop } from '../store/dropping';
import { newId } from '../api/new-id';
import { useAppDispatch, useStateOf } from '../store/store';
import { SmallGrid } from '../grid/small-grid';
import { useTable } from '../grid/use-table';
import { rememberedName } from '../wiring/remembered-name';

const FIELDS: readonly PortColumn[] = [
  'name',
  'network',
  'address',
  'mask',
  'gateway',
  'purpose',
  'tcpPort',
  'unit',
  'how',
  'enabled',
  'deviceName',
  'hardware',
  'former',
  'further',
  'off',
  'takes',
  'tunnel',
];
const ADAPTER_FIELDS: readonly PortColumn[] = ['bridgedTo', 'recognised'];
const SHOWN: Shown = { kind: 'port', fields: [...FIELDS, ...ADAPTER_FIELDS] };
const COLUMNS: readonly GridColumn[] = [
  { id: 'name', title: 'Port', names: true, fills: 'series', track: 'minmax(110px, 1.4fr)' },
  { id: 'network', title: 'Network', track: 'minmax(84px, 1fr)' },
  { id: 'address', title: 'Address', fills: 'series', track: '112px' },
  { id: 'mask', title: 'Mask', track: '112px' },
  { id: 'gateway', title: 'Gateway', track: '96px' },
  { id: 'purpose', title: 'Purpose', track: '88px' },
  { id: 'tcpPort', title: 'Listens on TCP port', track: '136px', right: true },
  { id: 'unit', title: 'Unit', track: '44px', right: true },
  { id: 'how', title: 'Address source', track: '84px' },
  { id: 'enabled', title: 'Enabled', track: '56px' },
  { id: 'deviceName', title: 'Device name', track: 'minmax(96px, 1fr)' },
  { id: 'hardware', title: 'Hardware address', track: '120px' },
  { id: 'former', title: 'Former addresses', track: 'minmax(104px, 1fr)' },
  { id: 'further', title: 'Further addresses', track: 'minmax(120px, 1fr)' },
  { id: 'off', title: 'Disabled protocols', track: 'minmax(96px, 1fr)' },
  { id: 'takes', title: 'Permitted traffic', track: 'minmax(110px, 1fr)' },
  { id: 'tunnel', title: 'Tunnel, its pool', track: '210px' },
];
/** Of an engineer's computer besides. */
const ADAPTER_COLUMNS: readonly GridColumn[] = [
  { id: 'bridgedTo', title: 'Bridged to', track: 'minmax(110px, 1fr)' },
  { id: 'recognised', title: 'Identified by', track: 'minmax(110px, 1fr)' },
];

/** How a station is wired. */
export function PortsGrid({ station }: { station: string }) {
  const project = useStateOf((s) => s.project.project)!;
  const wrong = useWrongCells('port');
  const dispatch = useAppDispatch();
  const networks = inOrder(project, 'network').map((n) => n.name);
  const ports = childrenOf(project, 'port', station);
  const workstation = project.get('station', station)?.roles.includes('workstation') ?? false;
  const columns = workstation ? [...COLUMNS, ...ADAPTER_COLUMNS] : COLUMNS;
  const hosts = workstation
    ? inOrder(project, 'port')
        .filter((p) => p.station !== station)
        .map((p) => bridgeWords(project, p.id))
    : [];
  const rowFor = (port: Port) => {
    const cell = (field: PortColumn, text: string, more: Partial<GridCell> = {}): GridCell => ({
      text,
      editable: true,
      differs: wrong(port.id, field),
      ...more,
    });
    return {
      id: port.id,
      height: 26,
      cells: [
        cell('name', port.name),
        cell('network', port.network ? (project.get('network', port.network)?.name ?? '') : '', { options: networks }),
        cell('address', port.address, { mono: true }),
        cell('mask', port.mask, { mono: true }),
        cell('gateway', port.gateway, { mono: true }),
        cell('purpose', port.purpose, { options: PURPOSES }),
        cell('tcpPort', listeningText(project, port), {
          right: true,
          show: listeningOn(project, port)
            .map((s) => `${s.tcpPort} ${s.name}`)
            .join(', '),
        }),
        cell('unit', port.unit === null ? '' : String(port.unit), { mono: true, right: true }),
        cell('how', port.how ?? 'by hand', { options: ADDRESS_SOURCES }),
        cell('enabled', port.enabled ? 'yes' : 'no', { options: ['yes', 'no'] }),
        cell('deviceName', port.deviceName ?? '', { mono: true }),
        cell('hardware', port.hardware ?? '', { mono: true }),
        cell('former', port.former.join(', '), { mono: true }),
        cell('further', furtherText(port), { mono: true }),
        cell('off', offText(port)),
        cell('takes', (port.takes ?? []).join(', ')),
        cell('tunnel', tunnelText(port), { mono: true, options: [POOL_UNKNOWN] }),
        ...(workstation
          ? [
              cell('bridgedTo', port.bridgedTo ? bridgeWords(project, port.bridgedTo) : '', { options: hosts }),
              cell('recognised', port.recognised ?? ''),
            ]
          : []),
      ],
    };
  };
  const rows = [...ports.map(rowFor), newRow(columns.length, 0, 'new port')];
  const link = useGridLink(SHOWN);

  const table = useTable({
    ...{ label: 'Edit port', columns, rows },
    begin(now, _, column, text) {
      if (column !== 0) return null;
      const order = orderAfter(childrenOf(now, 'port', station));
      const port = { ...newPort(newId(), order, station, inOrder(now, 'network')[0]?.id ?? null), name: text };
      return { row: port.id, label: 'New port', edits: [{ changes: [put('port', port)], problem: null }] };
    },
    edit(now, row, column, text) {
      const port = now.get('port', row);
      const field = [...FIELDS, ...ADAPTER_FIELDS][column]!;
      if (!port) return [];
      const made = editPort(now, port, field, text, newId);
      const moves = field === 'address' && !made.changes.every(changesNothing);
      if (!workstation || !moves) return [made];
      const said = { by: rememberedName(), at: new Date().toISOString() };
      return [made, { changes: keepForSettingBack(now, port, newId(), said), problem: null }];
    },
  });
  return <SmallGrid label="Ports" {...table} link={link} onDrop={(id) => dispatch(drop('Delete port', 'port', id))} />;
}

/** `Office computer, first adapter`. */
function bridgeWords(project: Project, id: string): string {
  const port = project.get('port', id);
  return port ? `${project.get('station', port.station)?.name ?? ''}, ${port.name}` : '';
}
