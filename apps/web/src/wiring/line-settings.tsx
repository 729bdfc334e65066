import { isLine, LINE_PORT, type LineKind } from '@dialoga/core/fields';
import { childrenOf, inOrder, type Network } from '@dialoga/core/model';
import { useSearchParams } from 'react-router';
import { Choice } from '../forms/choice';
import { EntityGrid } from '../entities/entity-grid';
import { set } from '@dialoga/core/change';
import { settingsOfLine } from '@dialoga/core/wiring';
import { useState } from 'react';
import { cellFromLink } from '../findings/link';
import { useEdits } from '../store/use-edits';
import { useStateOf } from '../store/store';
import { Section, SectionHead, TextButton } from '../theme/parts';
import { isShownInTable } from './shown-in-table';

/** What is set at each port of a line, a bus or a radio network, one under the other: the odd one stands out. */
export function LineSettings({ chosen }: { chosen: Network | null }) {
  const project = useStateOf((s) => s.project.project)!;
  const [search] = useSearchParams();
  const [picked, setPicked] = useState<string | null>(null);
  const lines = inOrder(project, 'network').filter(isLine);
  const linked = project.get('port', cellFromLink(search)?.id ?? '')?.network;
  const network =
    lines.find((n) => n.id === chosen?.id) ??
    lines.find((n) => n.id === picked) ??
    lines.find((n) => n.id === linked) ??
    lines[0];
  if (!network) return null;
  return (
    <Section aria-label="Settings side by side">
      <SectionHead>
        <h2>{network.name}, settings side by side</h2>
        {lines.length > 1 && (
          <Choice
            label="Line"
            quiet
            value={network.id}
            options={lines.map(({ id, name }) => ({ value: id, text: name }))}
            onChoose={setPicked}
          />
        )}
      </SectionHead>
      <SettingsGrid network={network} />
    </Section>
  );
}

function SettingsGrid({ network }: { network: Network & { kind: LineKind } }) {
  const project = useStateOf((s) => s.project.project)!;
  const commit = useEdits();
  const ports = childrenOf(project, 'port', network.id);
  if (ports.length === 0) return <p>No port is attached to it yet.</p>;
  const serial = network.kind === 'serial line' ? settingsOfLine(ports) : null;
  const others = serial === null ? [] : ports.filter((p) => (p.serial ?? '') !== serial);
  return (
    <>
      <EntityGrid
        label={`Settings on ${network.name}`}
        of={LINE_PORT[network.kind]}
        rows={ports}
        step="Edit settings"
        onDrop={null}
        strict
        leaves={isShownInTable}
      />
      {others.length > 0 && (
        <TextButton
          onPress={() => {
            const changes = others.map((port) => set('port', port, ['serial'], serial));
            commit(`Apply ${serial}`, [{ changes, problem: null }]);
          }}
        >
          Apply {serial} to {others.map(({ station }) => project.get('station', station)?.name ?? '').join(', ')}
        </TextButton>
      )}
    </>
  );
}
