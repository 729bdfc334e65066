import { editAttachment, editField, PORT } from '@dialoga/core/fields';
import { typingNow } from '../entities/use-shown';
import { cellText } from '../findings/cell-text';
import { inOrder, type Network, type Port } from '@dialoga/core/model';
import { attachmentsOf, attachmentWords, parseMask, type AttachmentRow } from '@dialoga/core/wiring';
import { useMemo } from 'react';
import { useLocation, useParams } from 'react-router';
import styled from 'styled-components';
import { cellFromLink } from '../findings/link';
import { useWrongCells } from '../findings/use-wrong-cells';
import { useOwnPlace } from '../page/use-own-place';
import { Grid } from '../grid/grid';
import type { CellAt, GoTo, GridCell, GridColumn, GridRow } from '../grid/types';
import { useTable } from '../grid/use-table';
import { newId } from '../api/new-id';
import { useStateOf } from '../store/store';
import { isShownInTable } from './shown-in-table';
import { Code, Empty } from '../theme/parts';
import { colour, size } from '../theme/tokens';

/** What the cursor is on. */
export interface Chosen {
  network: string | null;
  port: string | null;
}

const Shown = styled.span`
  display: flex;
  align-items: center;
  gap: 6px;
  small {
    font-size: ${size.data}px;
    color: ${colour.ink2};
    white-space: nowrap;
  }
`;

/** The fields of a port whose faults show in its cell here. */
const FIELDS: readonly (readonly string[])[] = [
  ['address'],
  ['unit'],
  ['node'],
  ['radio', 'number'],
  ['lineRole'],
  ['serial'],
  ['busRate'],
  ['purpose'],
  ['enabled'],
];

/** Stations down, networks across; a cell is the address there, and a word about it. */
export function AttachmentTable({ onChosen }: { onChosen: (chosen: Chosen) => void }) {
  const { project: projectId = '' } = useParams();
  const project = useStateOf((s) => s.project.project)!;
  const isWrong = useWrongCells('port');
  const networks = useMemo(() => inOrder(project, 'network'), [project]);
  const attachments = useMemo(() => attachmentsOf(project), [project]);
  const byRow = useMemo(() => new Map(attachments.map((row) => [rowId(row), row])), [attachments]);
  const columns: GridColumn[] = [
    { id: 'station', title: 'Station', names: true, track: 'minmax(100px, 1fr)' },
    ...networks.map((n): GridColumn => ({ id: n.id, title: n.name || 'network', track: 'minmax(94px, 1fr)' })),
  ];
  const rows = useMemo(
    () => attachments.map((row) => rowFor(row, networks, (port) => FIELDS.some((path) => isWrong(port.id, ...path)))),
    [attachments, networks, isWrong],
  );
  const link = useTableLink(attachments, networks);

  const table = useTable({ label: 'Edit wiring', columns, rows });
  if (attachments.length === 0) {
    return (
      <Empty>
        Here stations stand down the side and networks across, and each cell holds an address. Add the{' '}
        <a href={`/p/${projectId}/stations`}>stations</a> first.
      </Empty>
    );
  }
  return (
    <Grid
      label="Attachments"
      main
      {...table}
      goTo={link.goTo}
      onCursor={(at) => {
        const row = byRow.get(at.row);
        const network = networks[at.column - 1];
        const port = row?.loose ?? (network && row?.ports[network.id]);
        onChosen({ network: network?.id ?? port?.network ?? null, port: port?.id ?? null });
        link.onCursor(port ?? null);
      }}
    />
  );
}

const withMask = ({ address, mask }: Port): string => {
  const prefix = parseMask(mask);
  return address !== '' && prefix.ok ? `${address}/${prefix.value}` : address;
};

const rowId = (row: AttachmentRow): string =>
  row.loose ? `port ${row.loose.id}` : `${row.station.id} ${row.first ? '' : Object.values(row.ports)[0]?.id}`.trim();

function rowFor(row: AttachmentRow, networks: readonly Network[], wrong: (port: Port) => boolean): GridRow {
  const { station, ports, loose, first, passes } = row;
  const name: GridCell = first ? { text: station.name } : { text: loose?.name || 'another port', muted: true };
  if (loose) {
    const said: GridCell = {
      text: withMask(loose),
      show: (
        <Shown>
          <Code>{withMask(loose) || 'no address'}</Code>
          <small>not connected</small>
        </Shown>
      ),
      look: withMask(loose),
      editable: true,
      differs: wrong(loose),
      through: networks.length,
    };
    return {
      id: rowId(row),
      height: 26,
      tone: 'sub',
      edit: (now, _, text) => [editField(PORT, 'address', now.get('port', loose.id) ?? loose, text, typingNow(now))],
      cells: [name, said, ...networks.slice(1).map(() => null)],
    };
  }
  const attached = networks.map((n, i) => (ports[n.id] ? i : -1)).filter((i) => i >= 0);
  const [from, to] = [attached[0] ?? 0, attached.at(-1) ?? 0];
  const cells = networks.map((network, i): GridCell => {
    const port = ports[network.id];
    const joined = passes !== null && from < to && i >= from && i < to;
    const line = joined ? ({ line: passes === 'forwards' ? 'solid' : 'dashed' } as const) : {};
    if (!port) {
      // The word stands in the first cell that the line crosses.
      const show = joined && i === from + 1 ? <small>{passes}</small> : undefined;
      return { text: '', editable: true, ...line, ...(show && { show, look: passes! }) };
    }
    const { address, word } = attachmentWords(network, port);
    return {
      text: address.startsWith('.') ? port.address : address || word,
      show: (
        <Shown>
          {address !== '' && <Code>{address}</Code>}
          <small>{word}</small>
        </Shown>
      ),
      look: `${address} ${word}`,
      editable: true,
      differs: wrong(port),
      ...line,
    };
  });
  return {
    id: rowId(row),
    height: 26,
    tone: first ? 'main' : 'sub',
    cells: [name, ...cells],
    edit: (now, column, text) => {
      const network = networks[column - 1];
      const port = network && ports[network.id];
      const known = (port && now.get('port', port.id)) ?? null;
      return network ? [editAttachment(now, station.id, network, known, text, newId)] : [];
    },
  };
}

/** The cell that a link to a port names, and the address bar naming the port that the cursor is on. */
function useTableLink(rows: readonly AttachmentRow[], networks: readonly Network[]) {
  const [search, nameHere] = useOwnPlace();
  const { key, state } = useLocation();
  const own = (state as { own?: boolean } | null)?.own === true;
  const cell = cellFromLink(search);
  let goTo: GoTo | null = null;
  if (cell && isShownInTable(cell) && !own) {
    const row = rows.find((r) => r.loose?.id === cell.id || Object.values(r.ports).some((p) => p.id === cell.id));
    const network = row ? Object.keys(row.ports).find((n) => row.ports[n]!.id === cell.id) : undefined;
    const column = network === undefined ? 1 : networks.findIndex((n) => n.id === network) + 1;
    if (row) goTo = { row: rowId(row), column, token: key } satisfies CellAt & { token: string };
  }
  return {
    goTo,
    onCursor: (port: Port | null) => {
      const at = port ? cellText({ kind: 'port', id: port.id, path: ['address'] }) : null;
      // What another table on the page has put there stays.
      if (at === search.get('at') || (at === null && cell?.kind !== 'port')) return;
      const next = new URLSearchParams(search);
      if (at) next.set('at', at);
      else next.delete('at');
      nameHere(next);
    },
  };
}
