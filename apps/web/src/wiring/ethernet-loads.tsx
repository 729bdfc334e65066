import { set } from '@dialoga/core/change';
import { editNetwork } from '@dialoga/core/fields';
import { inOrder, PROJECT_ID } from '@dialoga/core/model';
import { parseWhole, unreadSentence } from '@dialoga/core/text';
import { ASSUMED_LINK_RATE, ASSUMED_LOAD_LEVEL, networkLoad } from '@dialoga/core/time';
import { useGridLink, type Shown } from '../findings/use-grid-link';
import { useWrongCells } from '../findings/use-wrong-cells';
import { InlineInput } from '../forms/inline-input';
import type { GridColumn, GridRow } from '../grid/types';
import { SmallGrid } from '../grid/small-grid';
import { useTableOf } from '../grid/use-table';
import { useEdits } from '../store/use-edits';
import { useStateOf } from '../store/store';
import { SectionHead } from '../theme/parts';
import { space } from '../theme/tokens';

const SHOWN: Shown = { kind: 'network', fields: [null, 'linkRate', null, null, null], onlyThese: true };
const COLUMNS: readonly GridColumn[] = [
  { id: 'name', title: 'Ethernet network', names: true, track: 'minmax(96px, 1fr)' },
  { id: 'linkRate', title: 'Mbit/s', track: '64px', right: true },
  { id: 'packets', title: 'Packets/s', track: '76px', right: true },
  { id: 'load', title: 'Load', track: '70px', right: true },
  { id: 'most', title: 'Most of it by', track: 'minmax(96px, 1fr)' },
];

/** What the exchanges with a cadence put on each Ethernet network, and the level from which on that is a Doubt. */
export function EthernetLoads() {
  const project = useStateOf((s) => s.project.project)!;
  const tableOf = useTableOf();
  const commit = useEdits();
  const wrong = useWrongCells('network');
  const link = useGridLink(SHOWN);
  const networks = inOrder(project, 'network').filter((n) => n.kind === 'ethernet');
  if (networks.length === 0) return null;
  const rows = networks.map((network): GridRow => {
    const { loads, packetsPerSecond, share } = networkLoad(project, network);
    const per = (share * 100).toFixed(share < 0.1 ? 2 : 0);
    return {
      id: network.id,
      height: 26,
      cells: [
        { text: network.name },
        {
          text: network.linkRate ? String(network.linkRate) : '',
          show: network.linkRate ? String(network.linkRate) : `${ASSUMED_LINK_RATE}`,
          muted: !network.linkRate,
          editable: true,
          right: true,
          differs: wrong(network.id, 'linkRate'),
        },
        { text: packetsPerSecond.toFixed(packetsPerSecond < 10 ? 1 : 0), right: true, mono: true },
        { text: `${per} %`, right: true, mono: true },
        { text: loads[0]?.exchange.name ?? 'nothing cyclic', muted: true },
      ],
    };
  });
  const table = tableOf({
    ...{ label: 'Edit networks', columns: COLUMNS, rows },
    edit(now, row, _, text) {
      const network = now.get('network', row);
      return network ? [editNetwork(network, 'linkRate', text)] : [];
    },
  });
  const level = project.info.loadLevel;
  const putLevel = (text: string) => {
    const clean = text.replace('%', '').trim();
    const read = clean === '' ? null : parseWhole(clean, 1, 100, 'a level in per cent');
    const problem = read && !read.ok ? unreadSentence(read) : null;
    const value = read?.ok ? read.value : null;
    const changes = problem ? [] : [set('project', project.get('project', PROJECT_ID)!, ['loadLevel'], value)];
    commit('Load limit', [{ changes, problem }]);
  };
  return (
    <>
      <SectionHead style={{ paddingTop: space[4] }}>
        <h2>Load</h2>
        <p>
          of exchanges with a cadence; asked about from{' '}
          <InlineInput
            label="Load limit"
            value={level ? `${level} %` : ''}
            placeholder={`${ASSUMED_LOAD_LEVEL} %`}
            onCommit={putLevel}
          />{' '}
          on
        </p>
      </SectionHead>
      <SmallGrid label="Ethernet load" {...table} link={link} />
    </>
  );
}
