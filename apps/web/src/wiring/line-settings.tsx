import { set } from '@dialoga/core/change';
import {
  editLine,
  hasLineFields,
  LINE_FIELDS,
  LINE_WORDS,
  linePath,
  lineText,
  type LineField,
  type LineKind,
} from '@dialoga/core/fields';
import { childrenOf, ELECTRICAL, inOrder, LINE_ROLES, RADIO_SORTS, type Network, type Port } from '@dialoga/core/model';
import { settingsOfLine } from '@dialoga/core/wiring';
import { useLocation, useSearchParams } from 'react-router';
import { useState } from 'react';
import { cellFromLink } from '../findings/link';
import { useWrongCells } from '../findings/use-wrong-cells';
import type { GridColumn, GridRow } from '../grid/types';
import { SmallGrid } from '../grid/small-grid';
import { useTableOf } from '../grid/use-table';
import { useEdits } from '../store/use-edits';
import { isShownInTable } from './shown-in-table';
import { useStateOf } from '../store/store';
import { Section, SectionHead, Select, TextButton } from '../theme/parts';

const WORDS: readonly LineField[] = ['lineRole', 'sort', 'busActive'];
const OPTIONS: Partial<Record<LineField, readonly string[]>> = {
  lineRole: LINE_ROLES,
  electrical: ELECTRICAL,
  busActive: ['yes', 'no'],
  sort: RADIO_SORTS,
};

/** What is set at each port of a line, a bus or a radio network, one under the other: the odd one stands out. */
export function LineSettings({ chosen }: { chosen: Network | null }) {
  const project = useStateOf((s) => s.project.project)!;
  const [search] = useSearchParams();
  const [picked, setPicked] = useState<string | null>(null);
  const lines = inOrder(project, 'network').filter(hasLineFields) as Network[];
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
          <Select aria-label="Line" value={network.id} onChange={(event) => setPicked(event.target.value)}>
            {lines.map((n) => (
              <option key={n.id} value={n.id}>
                {n.name}
              </option>
            ))}
          </Select>
        )}
      </SectionHead>
      <SettingsGrid network={network} />
    </Section>
  );
}

function SettingsGrid({ network }: { network: Network }) {
  const project = useStateOf((s) => s.project.project)!;
  const tableOf = useTableOf();
  const commit = useEdits();
  const wrong = useWrongCells('port');
  const [search] = useSearchParams();
  const { key, state } = useLocation();
  const ports = childrenOf(project, 'port', network.id);
  const fields: readonly LineField[] = LINE_FIELDS[network.kind as LineKind];
  if (ports.length === 0) return <p>No port is attached to it yet.</p>;
  const name = (port: Port) => project.get('station', port.station)?.name ?? '';
  const columns: GridColumn[] = [
    { id: 'station', title: 'Station', names: true, track: 'minmax(84px, 1fr)' },
    ...fields.map((field): GridColumn => ({ id: field, title: LINE_WORDS[field], track: 'minmax(52px, 1fr)' })),
  ];
  const rows = ports.map((port): GridRow => ({
    id: port.id,
    height: 22,
    cells: [
      { text: name(port) },
      ...fields.map((field) => ({
        text: lineText(port, field),
        editable: true,
        mono: !WORDS.includes(field),
        differs: wrong(port.id, ...linePath(field)),
        ...(OPTIONS[field] ? { options: OPTIONS[field] } : {}),
      })),
    ],
  }));
  const cell = cellFromLink(search);
  const own = (state as { own?: boolean } | null)?.own === true;
  const field = cell?.kind === 'port' ? fields.findIndex((f) => linePath(f).join() === cell.path.join()) : -1;
  const linked = field >= 0 && !own && cell && !isShownInTable(cell) && ports.some((p) => p.id === cell.id);
  const goTo = linked ? { row: cell.id, column: field + 1, token: key } : null;
  const serial = network.kind === 'serial line' ? settingsOfLine(ports) : null;
  const others = serial === null ? [] : ports.filter((p) => (p.serial ?? '') !== serial);

  const table = tableOf({
    ...{ label: 'Edit settings', columns, rows },
    edit(now, row, column, text) {
      const [port, edited] = [now.get('port', row), fields[column - 1]];
      return port && edited ? [editLine(port, edited, text)] : [];
    },
  });
  return (
    <>
      <SmallGrid label={`Settings on ${network.name}`} {...table} link={{ goTo, onCursor: () => undefined }} />
      {others.length > 0 && (
        <TextButton
          onPress={() => {
            const changes = others.map((port) => set('port', port, ['serial'], serial));
            commit(`Apply ${serial}`, [{ changes, problem: null }]);
          }}
        >
          Apply {serial} to {others.map(name).join(', ')}
        </TextButton>
      )}
    </>
  );
}
