import { put } from '@dialoga/core/change';
import { newNetwork } from '@dialoga/core/create';
import { NETWORK, RADIO, RADIO_UNITS, TOKEN_BUS, type Rows } from '@dialoga/core/fields';
import { inOrder, orderAfter, type Network } from '@dialoga/core/model';
import { newId } from '../api/new-id';
import { EntityGrid } from '../entities/entity-grid';
import { useStateOf } from '../store/store';

/** What the ports attach to. */
export function NetworksGrid() {
  const project = useStateOf((s) => s.project.project)!;
  return (
    <EntityGrid
      label="Networks"
      of={NETWORK}
      rows={inOrder(project, 'network')}
      step="Edit networks"
      add={{
        hint: 'new network',
        by: 'name',
        begin(now, text) {
          const network = newNetwork(newId(), orderAfter(inOrder(now, 'network')), text);
          const edits = [{ changes: [put('network', network)], problem: null }];
          return { label: `New network ${text}`, edits, made: (after) => after.get('network', network.id) };
        },
      }}
    />
  );
}

/** The settings that hold for a whole token bus or radio network, each kind in a table of its own. */
export const KindSettings = () => (
  <>
    <OfKind kind="token bus" label="Token buses" of={TOKEN_BUS} />
    <OfKind kind="radio" label="Radio networks" of={RADIO} />
    <OfKind kind="radio" label="Units planned by radio" of={RADIO_UNITS} />
  </>
);

function OfKind({ kind, label, of }: { kind: Network['kind']; label: string; of: Rows<Network> }) {
  const project = useStateOf((s) => s.project.project)!;
  const networks = inOrder(project, 'network').filter((n) => n.kind === kind);
  if (networks.length === 0) return null;
  return <EntityGrid label={label} of={of} rows={networks} step="Edit networks" onDrop={null} strict />;
}
