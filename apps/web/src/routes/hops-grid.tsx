import type { Project } from '@dialoga/core/model';
import { letsText, type RouteHop, type TextFault } from '@dialoga/core/route';
import { useNavigate, useParams } from 'react-router';
import { linkToCell } from '../findings/link';
import type { GridCell, GridColumn, GridRow } from '../grid/types';
import { SmallGrid } from '../grid/small-grid';
import { useStateOf } from '../store/store';

/** Where all holds, the last column says yes and needs no room. */
const columnsFor = (holds: boolean): readonly GridColumn[] => [
  { id: 'n', title: 'Hop', track: '44px', right: true },
  { id: 'from', title: 'From', names: true, track: 'minmax(120px, 1.2fr)' },
  { id: 'over', title: 'Over', names: true, track: 'minmax(90px, 0.7fr)' },
  { id: 'to', title: 'To', names: true, track: 'minmax(90px, 0.7fr)' },
  { id: 'address', title: 'Address', track: '100px' },
  { id: 'lets', title: 'Lets through', names: true, track: 'minmax(110px, 1fr)' },
  { id: 'must', title: 'What must be true', names: true, track: 'minmax(260px, 2.6fr)' },
  { id: 'is', title: 'Result', names: true, track: holds ? '60px' : 'minmax(160px, 1.9fr)' },
];

interface Props {
  hops: readonly RouteHop[];
  /** what is wrong with the text that was typed, shown at its hop */
  faults: readonly TextFault[];
  /** each condition on a row of its own, those that hold as well */
  each: boolean;
}

/**
 * A way as numbered hops, each with what must be true there. What holds is said together, what does not on a row of its own,
 * where Enter goes to the field that decides it.
 */
export function HopsGrid({ hops, faults, each }: Props) {
  const { project: address = '' } = useParams();
  const project = useStateOf((s) => s.project.project)!;
  const navigate = useNavigate();
  const rows = hops.flatMap((hop, i): GridRow[] => {
    const head: GridCell[] = [
      { text: String(i + 1), right: true },
      { text: stationText(project, hop.from, hop.fromPort) },
      { text: hop.kind === 'network' ? hop.way.name : hop.kind === 'backplane' ? 'its backplane' : hop.way.name },
      { text: hop.kind === 'backplane' ? 'a slot of it' : stationText(project, hop.to, null) },
      { text: hop.kind === 'backplane' ? `slot ${hop.address || 'not known'}` : hop.address, mono: true },
      { text: letsText(hop), muted: true },
    ];
    const blank: GridCell[] = head.map(() => ({ text: '' }));
    const open = hop.conditions.filter(({ holds }) => each || holds !== true);
    const held = each ? [] : hop.conditions.filter(({ holds }) => holds === true);
    const together = [...new Set(held.map(({ short, must }) => short ?? must))].join(', ');
    const conditions = open.map(({ must, holds, found, cell }): GridCell[] => [
      {
        text: must,
        ...(cell
          ? {
              action: {
                label: `${must}: go to what decides it`,
                run: () => void navigate(linkToCell(project, address, cell)),
              },
            }
          : {}),
      },
      { text: holds ? 'yes' : holds === null ? `not known yet: ${found}` : `no: ${found}`, differs: holds === false },
    ]);
    const typed = faults
      .filter((fault) => fault.hop === i)
      .map(({ found, right }): GridCell[] => [
        { text: `the text as typed has ${right}` },
        { text: `no: ${found}`, differs: true },
      ]);
    const all = [...(together ? [[{ text: together }, { text: 'yes' }]] : []), ...conditions, ...typed];
    const first = all[0] ?? [{ text: 'nothing' }, { text: 'yes', muted: true }];
    return [
      { id: `hop ${i}`, height: 26, cells: [...head, ...first] },
      ...all.slice(1).map((cells, n): GridRow => ({ id: `hop ${i} ${n}`, height: 22, cells: [...blank, ...cells] })),
    ];
  });
  const holds = faults.length === 0 && hops.every(({ conditions }) => conditions.every((one) => one.holds === true));
  return <SmallGrid label="Hops" columns={columnsFor(holds)} rows={rows} onEdit={() => undefined} />;
}

function stationText(project: Project, station: string, port: string | null): string {
  const name = project.get('station', station)?.name ?? '';
  const through = port ? project.get('port', port)?.name : '';
  return through ? `${name}, ${through}` : name;
}
