import { put } from '@dialoga/core/change';
import { newNetwork } from '@dialoga/core/create';
import { editNetwork, networkText, type NetworkColumn } from '@dialoga/core/fields';
import { inOrder, NETWORK_KINDS, orderAfter, WIRINGS, type Network } from '@dialoga/core/model';
import { formatSubnet, freeSubnet } from '@dialoga/core/wiring';
import { useWrongCells } from '../findings/use-wrong-cells';
import { useGridLink, type Shown } from '../findings/use-grid-link';
import { newRow } from '../grid/new-row';
import type { GridCell, GridColumn, GridRow } from '../grid/types';
import { drop } from '../store/dropping';
import { newId } from '../api/new-id';
import { useAppDispatch, useStateOf } from '../store/store';
import { SmallGrid } from '../grid/small-grid';
import { useTable } from '../grid/use-table';

const FIELDS: readonly NetworkColumn[] = ['name', 'kind', 'subnet', 'wiring', 'comment'];
const RADIO: OfOneKind = {
  kind: 'radio',
  label: 'Radio networks',
  shown: { kind: 'network', fields: ['name', 'radio.id', 'radio.band', 'radio.rate', 'radio.mode', 'radio.topology'] },
  columns: [
    { id: 'name', title: 'Radio network', track: 'minmax(96px, 1.4fr)' },
    { id: 'id', title: 'Id', track: '44px' },
    { id: 'band', title: 'Band', track: '72px' },
    { id: 'rate', title: 'Rate', track: '84px' },
    { id: 'mode', title: 'Mode', track: '64px' },
    { id: 'topology', title: 'Topology', track: 'minmax(60px, 0.8fr)' },
  ],
};
const RADIO_UNITS: OfOneKind = {
  kind: 'radio',
  label: 'Units planned by radio',
  shown: { kind: 'network', fields: ['name', 'radio.repeaters', 'radio.endUnits', 'radio.blocked'] },
  columns: [
    { id: 'name', title: 'Its base is set up for', track: 'minmax(110px, 1.4fr)' },
    { id: 'repeaters', title: 'Repeaters', track: '84px', right: true },
    { id: 'endUnits', title: 'End units', track: '84px', right: true },
    { id: 'blocked', title: 'Blocked channels', track: 'minmax(110px, 1fr)' },
  ],
};
const BUS_FIELDS: readonly NetworkColumn[] = ['name', 'busRate', 'busProfile', 'highestAddress'];
const BUS: OfOneKind = {
  kind: 'token bus',
  label: 'Token buses',
  shown: { kind: 'network', fields: BUS_FIELDS },
  columns: [
    { id: 'name', title: 'Token bus', track: 'minmax(96px, 1.4fr)' },
    { id: 'busRate', title: 'Rate', track: '96px' },
    { id: 'busProfile', title: 'Bus profile', track: 'minmax(90px, 1fr)' },
    { id: 'highestAddress', title: 'Highest address', track: '110px', right: true },
  ],
};

/** What the networks of one kind have that others do not. */
interface OfOneKind {
  kind: Network['kind'];
  label: string;
  shown: Shown & { fields: readonly (string | null)[] };
  columns: readonly GridColumn[];
}
const SHOWN: Shown = { kind: 'network', fields: FIELDS };
const COLUMNS: readonly GridColumn[] = [
  { id: 'name', title: 'Network', fills: 'series', track: 'minmax(96px, 1fr)' },
  { id: 'kind', title: 'Kind', track: '84px' },
  { id: 'subnet', title: 'Subnet', track: '118px' },
  { id: 'wiring', title: 'Wiring', track: '80px' },
  { id: 'comment', title: 'Comment', track: 'minmax(80px, 1fr)' },
];

/** What the ports attach to. */
export function NetworksGrid() {
  const project = useStateOf((s) => s.project.project)!;
  const dispatch = useAppDispatch();
  const networks = inOrder(project, 'network');
  const rowFor = (network: Network) => ({
    id: network.id,
    height: 26,
    cells: [
      { text: network.name, editable: true },
      { text: network.kind, editable: true, options: NETWORK_KINDS },
      network.kind === 'ethernet' ? { text: network.subnet ?? '', editable: true, mono: true } : null,
      network.kind === 'serial line' ? { text: network.wiring ?? '', editable: true, options: WIRINGS } : null,
      { text: network.comment ?? '', editable: true },
    ],
  });
  const link = useGridLink(SHOWN);

  const table = useTable({
    ...{ label: 'Edit networks', columns: COLUMNS },
    rows: [...networks.map(rowFor), newRow(COLUMNS.length, 0, 'new network')],
    begin(now, _, column, text) {
      if (column !== 0) return null;
      const network = newNetwork(newId(), orderAfter(inOrder(now, 'network')), text);
      return {
        row: network.id,
        label: `New network ${text}`,
        edits: [{ changes: [put('network', network)], problem: null }],
      };
    },
    edit(now, row, column, text) {
      const network = now.get('network', row);
      const field = FIELDS[column];
      if (!network || !field) return [];
      const wish = field === 'subnet' && text.trim().toLowerCase() === 'new' ? freeSubnet(now) : null;
      return [editNetwork(network, field, wish ? formatSubnet(wish) : text)];
    },
  });
  return (
    <SmallGrid
      label="Networks"
      {...table}
      link={link}
      onDrop={(id) => dispatch(drop(`Delete ${project.get('network', id)?.name ?? 'network'}`, 'network', id))}
    />
  );
}

/** The settings that hold for a whole token bus or radio network, each kind in a table of its own. */
export function KindSettings() {
  return (
    <>
      <OfKind of={BUS} />
      <OfKind of={RADIO} />
      <OfKind of={RADIO_UNITS} />
    </>
  );
}

function OfKind({ of: { kind, label, shown, columns } }: { of: OfOneKind }) {
  const project = useStateOf((s) => s.project.project)!;
  const wrong = useWrongCells('network');
  const link = useGridLink(shown);
  const networks = inOrder(project, 'network').filter((n) => n.kind === kind);
  const fields = shown.fields as readonly NetworkColumn[];
  const rows = networks.map((network): GridRow => ({
    id: network.id,
    height: 26,
    cells: fields.map((field, i): GridCell => ({
      text: networkText(network, field),
      editable: true,
      mono: i > 0,
      right: columns[i]?.right ?? false,
      differs: wrong(network.id, ...field.split('.')),
    })),
  }));
  const table = useTable({
    ...{ label: 'Edit networks', columns, rows },
    edit(now, row, column, text) {
      const [network, field] = [now.get('network', row), fields[column]];
      return network && field ? [editNetwork(network, field, text)] : [];
    },
  });
  if (networks.length === 0) return null;
  return <SmallGrid label={label} {...table} link={link} />;
}
