import { put } from '@dialoga/core/change';
import { editLanding, type LandingColumn } from '@dialoga/core/fields';
import {
  childrenOf,
  inOrder,
  isTyped,
  LANDING_ROLES,
  orderAfter,
  type Landing,
  type Project,
} from '@dialoga/core/model';
import { formatAddress, memoryOf, pointText } from '@dialoga/core/place';
import { slotName } from '@dialoga/core/rack';
import { refused, type FieldEdit } from '@dialoga/core/text';
import { useGridLink, type Shown } from '../findings/use-grid-link';
import { useWrongCells } from '../findings/use-wrong-cells';
import { newRow } from '../grid/new-row';
import type { GridCell, GridColumn, GridRow } from '../grid/types';
import { newId } from '../api/new-id';
import { useStateOf } from '../store/store';
import { SmallGrid } from '../grid/small-grid';
import { useTable } from '../grid/use-table';
import { useEdits } from '../store/use-edits';

const FIELDS: readonly (LandingColumn | null)[] = [
  null,
  'role',
  'slot',
  'orderCode',
  'accepted',
  'inputs',
  'inputsAt',
  'outputs',
  'outputsAt',
  'description',
];
const SHOWN: Shown = { kind: 'landing', fields: FIELDS };
const COLUMNS: readonly GridColumn[] = [
  { id: 'module', title: 'Module', names: true, track: 'minmax(170px, 1.4fr)' },
  { id: 'role', title: 'Role', track: '70px' },
  { id: 'slot', title: 'Slot', track: '48px', right: true },
  { id: 'orderCode', title: 'Order code', track: '96px' },
  { id: 'accepted', title: 'Accepts', track: 'minmax(90px, 1fr)' },
  { id: 'inputs', title: 'In', track: '60px', right: true },
  { id: 'inputsAt', title: 'Input address', track: '96px' },
  { id: 'outputs', title: 'Out', track: '60px', right: true },
  { id: 'outputsAt', title: 'Output address', track: '96px' },
  { id: 'description', title: 'Description', track: 'minmax(80px, 0.8fr)' },
  { id: 'point', title: 'First point', track: 'minmax(110px, 1fr)' },
];

/** What this controller says of each module that it claims, in its own rack or in another's. */
export function LandingsGrid({ station }: { station: string }) {
  const project = useStateOf((s) => s.project.project)!;
  const commit = useEdits();
  const wrong = useWrongCells('landing');
  const landings = childrenOf(project, 'landing', station);
  const rowFor = (landing: Landing): GridRow => {
    const cell = (field: LandingColumn, text: string, more: Partial<GridCell> = {}): GridCell => ({
      text,
      editable: true,
      differs: wrong(landing.id, field),
      ...more,
    });
    const size = (count: number | null) => (count === null ? '' : String(count));
    const at = (field: 'inputsAt' | 'outputsAt') => {
      const place = landing[field];
      if (isTyped(place)) return cell(field, place.typed, { unread: true, mono: true });
      const memory = place && memoryOf(project, place.area);
      return cell(field, place && memory ? formatAddress(memory, place) : '', { mono: true });
    };
    return {
      id: landing.id,
      height: 22,
      cells: [
        { text: moduleWords(project, landing) },
        cell('role', landing.role, { options: LANDING_ROLES }),
        cell('slot', size(landing.slot), { mono: true, right: true }),
        cell('orderCode', landing.orderCode, { mono: true }),
        cell('accepted', landing.accepted, { mono: true }),
        cell('inputs', size(landing.inputs), {
          mono: true,
          right: true,
          ...(landing.inputs === 0 ? { show: '' } : {}),
        }),
        at('inputsAt'),
        cell('outputs', size(landing.outputs), {
          mono: true,
          right: true,
          ...(landing.outputs === 0 ? { show: '' } : {}),
        }),
        at('outputsAt'),
        cell('description', landing.description ?? '', { mono: true }),
        { text: firstPoint(project, landing), mono: true, muted: true },
      ],
    };
  };
  const link = useGridLink(SHOWN);

  const table = useTable({
    ...{ label: 'Edit landings', columns: COLUMNS },
    rows: [...landings.map(rowFor), newRow(COLUMNS.length, 0, 'new: station and slot')],
    begin(now, _, column, text) {
      const id = newId();
      return column === 0 ? { row: id, label: 'Claim a module', edits: [claim(now, station, text, id)] } : null;
    },
    edit(now, row, column, text) {
      const landing = now.get('landing', row);
      const field = FIELDS[column];
      return landing && field ? [editLanding(now, landing, field, text)] : [];
    },
  });
  return (
    <SmallGrid
      label="Landings"
      {...table}
      link={link}
      onDrop={(id) => {
        const landing = project.get('landing', id);
        const before = landing && { ...landing };
        if (before) {
          const changes = [{ kind: 'landing' as const, id, path: [], before: before as never }];
          commit('Delete assignment', [{ changes, problem: null }]);
        }
      }}
    />
  );
}

/** How its programs write the first point of the module. */
function firstPoint(project: Project, landing: Landing): string {
  const module = project.get('module', landing.module);
  const what = module && module.inputs === 0 ? 'outputs' : 'inputs';
  return module && module[what] > 0 ? (pointText(project, { landing, what, channel: 0 }) ?? '') : '';
}

function moduleWords(project: Project, landing: Landing): string {
  const module = project.get('module', landing.module);
  const rack = module && project.get('rack', module.rack);
  if (!module || !rack) return 'a module that is gone';
  const station = rack.station === landing.station ? 'own rack' : (project.get('station', rack.station)?.name ?? '');
  const slot = module.slot === null ? '' : ` slot ${slotName(rack, module.slot)}`;
  return `${station}${slot}, ${module.name || module.kind}`;
}

/** `EvapHead 4`: the module in slot 4 of EvapHead, as it is there. A first claim owns, a second listens. */
function claim(project: Project, station: string, text: string, id: string): FieldEdit {
  const match = /^(.*?)[\s,]+(?:slot\s+)?(\d+)$/.exec(text.trim());
  const name = (match?.[1] ?? '').toLowerCase();
  const owner = inOrder(project, 'station').find((s) => s.name.toLowerCase() === name);
  const expected = 'write the station and the slot, as in EvapHead 4';
  if (!match || !owner) return refused({ found: `“${text}” names no module`, expected });
  const modules = childrenOf(project, 'rack', owner.id).flatMap((r) => childrenOf(project, 'module', r.id));
  const module = modules.find((m) => m.slot === Number(match[2]));
  if (!module) return refused({ found: `slot ${match[2]} of ${owner.name} is empty`, expected });
  const taken = childrenOf(project, 'landing', module.id).some((l) => l.role === 'owner');
  const landing: Landing = {
    ...{ id, order: orderAfter(childrenOf(project, 'landing', station)), station, module: module.id },
    ...{ role: taken ? 'listener' : 'owner', inputsAt: null, outputsAt: null, slot: module.slot },
    ...{ inputs: module.inputs, outputs: module.outputs, orderCode: module.orderCode },
    accepted: module.found?.revision ?? '',
  };
  return { changes: [put('landing', landing)], problem: null };
}
