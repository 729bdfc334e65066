import { put } from '@dialoga/core/change';
import { editModule, type ModuleColumn } from '@dialoga/core/fields';
import { planMove, type MovePlan } from '@dialoga/core/hardware';
import { childrenOf, orderAfter, MODULE_KINDS, type Module, type Project, type Rack } from '@dialoga/core/model';
import { formatBits } from '@dialoga/core/place';
import { landedOf, slotName, slotRows, zoneAt } from '@dialoga/core/rack';
import { formatRadioPlace, radioPlaceOf } from '@dialoga/core/wiring';
import { useState, type KeyboardEvent } from 'react';
import { useGridLink, type Shown } from '../findings/use-grid-link';
import { useWrongCells } from '../findings/use-wrong-cells';
import type { CellAt, CellEdit, GridCell, GridColumn, GridRow } from '../grid/types';
import { drop } from '../store/dropping';
import { newId } from '../api/new-id';
import { projectSlice } from '../store/project-slice';
import { useAppDispatch, useStateOf } from '../store/store';
import { SectionHead, TextButton } from '../theme/parts';
import { MoveDialog } from './move-dialog';
import { RackHead } from './rack-head';
import { SmallGrid } from '../grid/small-grid';
import { useTable } from '../grid/use-table';
import { useEdits } from '../store/use-edits';
import { ZonesGrid } from './zones-grid';

const FIELDS: readonly (ModuleColumn | null)[] = [
  null,
  'slot',
  'name',
  'kind',
  'orderCode',
  'found',
  'inputs',
  'outputs',
  'dial',
  null,
];
const SHOWN: Shown = { kind: 'module', fields: FIELDS };
const ZONE: GridColumn = { id: 'zone', title: 'Zone', track: '84px' };
const NO_ZONE: GridColumn = { ...ZONE, track: '8px', quiet: true };
const COLUMNS: readonly GridColumn[] = [
  { id: 'slot', title: 'Slot', track: '64px', right: true },
  { id: 'name', title: 'Module', names: true, fills: 'series', track: 'minmax(120px, 1fr)' },
  { id: 'kind', title: 'Kind', track: '150px' },
  { id: 'orderCode', title: 'Order code', track: '96px' },
  { id: 'found', title: 'Found', track: '84px' },
  { id: 'inputs', title: 'In', track: '88px', right: true },
  { id: 'outputs', title: 'Out', track: '88px', right: true },
  { id: 'dial', title: 'Dial', track: '48px', right: true },
  { id: 'landings', title: 'Assigned to', track: 'minmax(220px, 2fr)' },
];

interface Asked {
  plan: MovePlan;
  title: string;
}

/** The racks of a station, slot by slot: what is in each, and which controllers claim it. */
export function SlotsSection({ station }: { station: string }) {
  const project = useStateOf((s) => s.project.project)!;
  const commit = useEdits();
  const racks = childrenOf(project, 'rack', station);
  function addRack() {
    const rack: Rack = {
      ...{ id: newId(), order: orderAfter(racks), name: 'Rack', station, size: 8, first: 0, gaps: true },
      ...{ zones: {}, takes: [] },
    };
    commit('New rack', [{ changes: [put('rack', rack)], problem: null }]);
  }
  return (
    <>
      {racks.map((rack) => (
        <RackTable key={rack.id} rack={rack} />
      ))}
      {racks.length === 0 && (
        <SectionHead>
          <h2>Slots</h2>
          <p>no rack; if modules are plugged into it, give it one</p>
        </SectionHead>
      )}
      <TextButton onPress={addRack}>Add a rack of 8 slots</TextButton>
    </>
  );
}

function RackTable({ rack }: { rack: Rack }) {
  const project = useStateOf((s) => s.project.project)!;
  const dispatch = useAppDispatch();
  const commit = useEdits();
  const wrong = useWrongCells('module');
  const [asked, setAsked] = useState<Asked | null>(null);
  const lines = slotRows(project, rack);
  const rows = lines.map((line): GridRow => {
    const { slot, module, zone } = line;
    const cell = (field: ModuleColumn, text: string, more: Partial<GridCell> = {}): GridCell => ({
      text,
      editable: true,
      differs: module !== null && wrong(module.id, field),
      ...more,
    });
    const zoneCell: GridCell = { text: zone ?? '', muted: true };
    const slotText = slot === null ? '' : slotName(rack, slot);
    if (!module) {
      const free = { text: '', show: 'free', muted: true, editable: true };
      return {
        id: `new ${slot}`,
        once: true,
        height: 22,
        cells: [zoneCell, { text: slotText, mono: true, right: true }, free, ...Array.from({ length: 7 }, () => null)],
      };
    }
    const bytes = (count: number) => (count === 0 ? '' : formatBits(count * 8, 8));
    return {
      id: module.id,
      height: 22,
      cells: [
        zoneCell,
        cell('slot', slotText, { mono: true, right: true, ...(slot === null ? { show: 'none yet' } : {}) }),
        cell('name', module.name),
        cell('kind', module.kind, { options: MODULE_KINDS }),
        cell('orderCode', module.orderCode, { mono: true }),
        cell('found', foundText(module), { mono: true }),
        cell('inputs', module.inputs === 0 ? '' : String(module.inputs), {
          show: bytes(module.inputs),
          right: true,
          mono: true,
        }),
        cell('outputs', module.outputs === 0 ? '' : String(module.outputs), {
          show: bytes(module.outputs),
          right: true,
          mono: true,
        }),
        cell('dial', module.dial ?? '', { mono: true, right: true }),
        { text: landingWords(project, module), mono: false },
      ],
    };
  });
  const link = useGridLink(SHOWN);

  /** Done at once where nothing but the slot changes; else it is shown first. */
  function move(module: Module, slot: number, title: string) {
    const plan = planMove(project, rack, module, slot, newId());
    if (typeof plan === 'string') {
      dispatch(projectSlice.actions.noticed(`${module.name || module.kind}: ${plan}.`));
      return;
    }
    if (plan.moves.length === 1 && plan.ranges.length === 0 && plan.bound.length === 0) {
      commit(title, [{ changes: plan.changes(false), problem: null }]);
      return;
    }
    setAsked({ plan, title });
  }

  const table = useTable({
    ...{ label: 'Edit modules', rows },
    columns: [Object.keys(rack.zones).length > 0 ? ZONE : NO_ZONE, ...COLUMNS],
    /** Of a block that is pasted; one that is typed may first show what moves with it. */
    begin(now, row, column, text) {
      const known = now.get('rack', rack.id);
      if (FIELDS[column] !== 'name' || !known) return null;
      const slot = Number(row.slice('new '.length));
      const module = freshAt(now, slot, text);
      const plan = planMove(now, known, module, slot, newId());
      const edit =
        typeof plan === 'string'
          ? { changes: [], problem: `${text}: ${plan}` }
          : { changes: plan.changes(false), problem: null };
      return { row: module.id, edits: [edit] };
    },
    edit(now, row, column, text) {
      const module = now.get('module', row);
      const field = FIELDS[column];
      return module && field ? [editModule(now, module, field, text)] : [];
    },
  });
  function onEdit(edits: CellEdit[]) {
    const [first] = edits;
    const typed = first?.row.startsWith('new ') && edits.length === 1 ? first.text.trim() : null;
    if (typed === null) table.onEdit(edits);
    else if (typed !== '') plug(Number(first!.row.slice('new '.length)), typed);
  }
  function plug(slot: number, name: string) {
    move(freshAt(project, slot, name), slot, `Plug ${name} into slot ${slotName(rack, slot)}`);
  }
  const fresh = (now: Project, kind: Module['kind'], name: string): Module => ({
    ...{ id: newId(), order: orderAfter(childrenOf(now, 'module', rack.id)), name, rack: rack.id, slot: null },
    ...{ kind, orderCode: '', inputs: 0, outputs: 0 },
  });
  /** Of the kind that its name begins with, else of what belongs there. */
  function freshAt(now: Project, slot: number, name: string): Module {
    const kinds = zoneAt(rack, slot)?.[1].kinds ?? [];
    const kind = MODULE_KINDS.find((k) => name.toLowerCase().startsWith(k.toLowerCase())) ?? kinds[0] ?? 'other';
    return fresh(now, kind, name);
  }

  function onKey(event: KeyboardEvent, at: CellAt): boolean {
    const module = project.get('module', at.row);
    if (!module || module.slot === null || !event.altKey) return false;
    if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
      const slot = module.slot + (event.key === 'ArrowUp' ? -1 : 1);
      const other = childrenOf(project, 'module', rack.id).find((m) => m.slot === slot);
      if (other) return swap(module, other);
      move(module, slot, `Move ${module.name || module.kind} to slot ${slotName(rack, slot)}`);
      return true;
    }
    if (event.key === 'Insert') {
      const like = fresh(project, module.kind, `${module.name} (new)`);
      const sized = { ...like, inputs: module.inputs, outputs: module.outputs, orderCode: module.orderCode };
      move(sized, module.slot, `Insert a module before ${module.name || module.kind}`);
      return true;
    }
    return false;
  }
  /** Two neighbours change places. */
  function swap(a: Module, b: Module): boolean {
    const changes = [editModule(project, a, 'slot', String(b.slot)), editModule(project, b, 'slot', String(a.slot))];
    const problem = changes.find((c) => c.problem !== null)?.problem;
    if (problem) dispatch(projectSlice.actions.noticed(problem));
    else commit(`${a.name || a.kind} and ${b.name || b.kind} change places`, changes);
    return true;
  }

  return (
    <>
      <RackHead rack={rack} />
      <SmallGrid
        label={`Slots of ${rack.name || 'the rack'}`}
        {...table}
        onEdit={onEdit}
        link={link}
        onKey={onKey}
        onDrop={(id) => dispatch(drop('Take a module out', 'module', id))}
      />
      {Object.keys(rack.zones).length > 0 && <ZonesGrid rack={rack} />}
      {asked && (
        <MoveDialog
          title={asked.title}
          rack={rack}
          plan={asked.plan}
          onClose={() => setAsked(null)}
          onTake={(along) => {
            commit(asked.title, [{ changes: asked.plan.changes(along), problem: null }]);
            setAsked(null);
          }}
        />
      )}
    </>
  );
}

/** `5.2`; with another order code than the planned one before it, `DO-32 5.2`. */
function foundText({ found, orderCode }: Module): string {
  if (!found) return '';
  return found.orderCode === orderCode || found.orderCode === ''
    ? found.revision
    : `${found.orderCode} ${found.revision}`;
}

/** `PlantCtl owner, %QB6–%QB7 · SkidCtl owner`; of a module on a radio unit its registers in the base. */
function landingWords(project: Project, module: Module): string {
  const place = radioPlaceOf(project, module);
  if (place) return `${formatRadioPlace(place)} of ${project.get('station', place.base)?.name ?? 'the base'}`;
  return childrenOf(project, 'landing', module.id)
    .map((landing) => {
      const station = project.get('station', landing.station)?.name ?? '';
      const ranges = landedOf(project, landing).map((l) => l.range);
      return [`${station} ${landing.role}`, ...ranges].join(', ');
    })
    .join(' · ');
}
