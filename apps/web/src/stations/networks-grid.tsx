import {
  childrenOf,
  dropWithDependents,
  editNetwork,
  inOrder,
  NETWORK_KINDS,
  newNetwork,
  orderAfter,
  put,
  type Network,
  type NetworkColumn,
} from '@dialoga/core';
import { useGridLink, type Shown } from '../findings/use-grid-link';
import { newRow } from '../grid/new-row';
import type { CellEdit, GridColumn } from '../grid/types';
import { newId } from '../store/new-id';
import { useStateOf } from '../store/store';
import { SmallGrid } from './small-grid';
import { useEdits } from './use-edits';

const FIELDS: readonly NetworkColumn[] = ['name', 'kind', 'subnet', 'comment'];
const SHOWN: Shown = { kind: 'network', fields: FIELDS };
const COLUMNS: readonly GridColumn[] = [
  { id: 'name', title: 'Network', fills: 'series', track: 'minmax(140px, 1fr)' },
  { id: 'kind', title: 'Kind', track: '140px' },
  { id: 'subnet', title: 'Subnet', track: '160px' },
  { id: 'comment', title: 'Comment', track: 'minmax(160px, 1fr)' },
  { id: 'ports', title: 'Ports', track: '70px', right: true },
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
      { text: network.subnet ?? '', editable: true, mono: true },
      { text: network.comment ?? '', editable: true },
      { text: String(childrenOf(project, 'port', network.id).length), right: true },
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
