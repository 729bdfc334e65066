import {
  dropWithDependents,
  editNetwork,
  inOrder,
  NETWORK_KINDS,
  newNetwork,
  orderAfter,
  put,
  WIRINGS,
  type Network,
  type NetworkColumn,
} from '@dialoga/core';
import { useGridLink, type Shown } from '../findings/use-grid-link';
import { newRow } from '../grid/new-row';
import type { CellEdit, GridColumn } from '../grid/types';
import { newId } from '../store/new-id';
import { useStateOf } from '../store/store';
import { SmallGrid } from '../stations/small-grid';
import { useEdits } from '../stations/use-edits';

const FIELDS: readonly NetworkColumn[] = ['name', 'kind', 'subnet', 'wiring', 'busRate', 'highestAddress', 'comment'];
const SHOWN: Shown = { kind: 'network', fields: FIELDS };
const COLUMNS: readonly GridColumn[] = [
  { id: 'name', title: 'Network', fills: 'series', track: 'minmax(96px, 1fr)' },
  { id: 'kind', title: 'Kind', track: '84px' },
  { id: 'subnet', title: 'Subnet', track: '118px' },
  { id: 'wiring', title: 'Wiring', track: '80px' },
  { id: 'busRate', title: 'Bus rate', track: '78px' },
  { id: 'highestAddress', title: 'Highest', track: '58px', right: true },
  { id: 'comment', title: 'Comment', track: 'minmax(80px, 1fr)' },
];

/** What the ports attach to. */
export function NetworksGrid() {
  const project = useStateOf((s) => s.project.project)!;
  const commit = useEdits();
  const networks = inOrder(project, 'network');
  const rowFor = (network: Network) => ({
    id: network.id,
    height: 26,
    cells: [
      { text: network.name, editable: true },
      { text: network.kind, editable: true, options: NETWORK_KINDS },
      network.kind === 'ethernet' ? { text: network.subnet ?? '', editable: true, mono: true } : null,
      network.kind === 'serial line' ? { text: network.wiring ?? '', editable: true, options: WIRINGS } : null,
      network.kind === 'token bus' ? { text: network.busRate ?? '', editable: true, mono: true } : null,
      network.kind === 'token bus'
        ? { text: network.highestAddress ?? '', editable: true, mono: true, right: true }
        : null,
      { text: network.comment ?? '', editable: true },
    ],
  });
  const link = useGridLink(SHOWN);

  function onEdit(edits: CellEdit[]) {
    const [first] = edits;
    if (first?.row === 'new') {
      if (first.text.trim() === '') return;
      const network = newNetwork(newId(), orderAfter(networks), first.text.trim());
      commit(`New network ${network.name}`, [{ changes: [put('network', network)], problem: null }]);
      return;
    }
    commit(
      'Edit networks',
      edits.flatMap(({ row, column, text }) => {
        const network = project.get('network', row);
        const field = FIELDS[column];
        return network && field ? [editNetwork(network, field, text)] : [];
      }),
    );
  }
  return (
    <SmallGrid
      label="Networks"
      columns={COLUMNS}
      rows={[...networks.map(rowFor), newRow(COLUMNS.length, 0, 'new network')]}
      onEdit={onEdit}
      link={link}
      onDrop={(id) =>
        commit('Delete network', [{ changes: dropWithDependents(project, 'network', id), problem: null }])
      }
    />
  );
}
