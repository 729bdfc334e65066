import { set } from '@dialoga/core/change';
import { ETHERNET } from '@dialoga/core/fields';
import { inOrder, PROJECT_ID, type Network } from '@dialoga/core/model';
import { parseWhole, unreadSentence } from '@dialoga/core/text';
import { ASSUMED_LINK_RATE, ASSUMED_LOAD_LEVEL, networkLoad } from '@dialoga/core/time';
import { InlineInput } from '../forms/inline-input';
import { EntityGrid } from '../entities/entity-grid';
import type { GridCell } from '../grid/types';
import { useEdits } from '../store/use-edits';
import { useStateOf } from '../store/store';
import { SectionHead } from '../theme/parts';
import { space } from '../theme/tokens';

/** What the exchanges with a cadence put on each Ethernet network, and the level from which on that is a Doubt. */
export function EthernetLoads() {
  const project = useStateOf((s) => s.project.project)!;
  const commit = useEdits();
  const networks = inOrder(project, 'network').filter((n) => n.kind === 'ethernet');
  if (networks.length === 0) return null;
  function look(network: Network, field: keyof typeof ETHERNET.fields): Partial<GridCell> | undefined {
    if (field === 'name') return undefined;
    if (field === 'linkRate') return network.linkRate ? undefined : { show: `${ASSUMED_LINK_RATE}`, muted: true };
    const { loads, packetsPerSecond, share } = networkLoad(project, network);
    if (field === 'packets') return { text: packetsPerSecond.toFixed(packetsPerSecond < 10 ? 1 : 0) };
    if (field === 'load') return { text: `${(share * 100).toFixed(share < 0.1 ? 2 : 0)} %` };
    return { text: loads[0]?.exchange.name ?? 'nothing cyclic' };
  }
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
          of exchanges with an interval; asked about from{' '}
          <InlineInput
            label="Load limit"
            value={level ? `${level} %` : ''}
            placeholder={`${ASSUMED_LOAD_LEVEL} %`}
            onCommit={putLevel}
          />{' '}
          on
        </p>
      </SectionHead>
      <EntityGrid
        label="Ethernet load"
        of={ETHERNET}
        rows={networks}
        step="Edit networks"
        look={look}
        onDrop={null}
        strict
      />
    </>
  );
}
