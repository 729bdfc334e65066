import { editField, MODULE } from '@dialoga/core/fields';
import { slotName, slotRows, zoneAt } from '@dialoga/core/rack';
import type { FieldEdit } from '@dialoga/core/text';
import { columnsOf, pathsOf, rowOf } from '../entities/entity-rows';
import { typingNow, useShown } from '../entities/use-shown';
import { useGridLink } from '../findings/use-grid-link';
import type { Begun, CellAt, CellEdit, GridCell, GridColumn, GridRow } from '../grid/types';
import { put } from '@dialoga/core/change';
import { planMove, type MovePlan } from '@dialoga/core/hardware';
import { childrenOf, orderAfter, MODULE_KINDS, type Module, type Project, type Rack } from '@dialoga/core/model';
import { useState, type KeyboardEvent } from 'react';
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

type ModuleField = keyof typeof MODULE.fields;
const FIELDS = Object.keys(MODULE.fields) as ModuleField[];
const PATHS = [null, ...pathsOf(MODULE, FIELDS)];
const NAME = FIELDS.indexOf('name') + 1;
const ZONE: GridColumn = { id: 'zone', title: 'Zone', track: '84px' };
const NO_ZONE: GridColumn = { ...ZONE, track: '8px', quiet: true };
const COLUMNS = columnsOf(MODULE, FIELDS);

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
      id: newId(),
      order: orderAfter(racks),
      name: 'Rack',
      station,
      size: 8,
      first: 0,
      gaps: true,
      zones: {},
      takes: [],
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
  const shown = useShown(MODULE, FIELDS, { height: 22 });
  const link = useGridLink();
  const [asked, setAsked] = useState<Asked | null>(null);
  const lines = slotRows(project, rack);
  const rows = lines.map(({ slot, module, zone }): GridRow => {
    const zoneCell: GridCell = { text: zone ?? '', muted: true };
    if (module) {
      const row = rowOf(module, shown, PATHS);
      const edit: GridRow['edit'] = (now, column, text) => row.edit(now, column - 1, text);
      return row.but({ edit, cells: [zoneCell, ...row.cells] });
    }
    const slotText = slot === null ? '' : slotName(rack, slot);
    const free = { text: '', show: 'free', muted: true, editable: true, about: MODULE.fields.name };
    return {
      id: `new ${slot}`,
      once: true,
      height: 22,
      begin: (now, column, text) => plugged(now, slot ?? 0, column, text),
      cells: [
        zoneCell,
        { text: slotText, mono: true, right: true },
        free,
        ...Array.from({ length: FIELDS.length - 2 }, () => null),
      ],
    };
  });
  const moduleAt = (row: string): Module | undefined => {
    const of = rows.find(({ id }) => id === row)?.of;
    return of && project.get('module', of.id);
  };

  /** Of a block that is pasted; one that is typed may first show what moves with it. */
  function plugged(now: Project, slot: number, column: number, text: string): Begun | null {
    const known = now.get('rack', rack.id);
    if (column !== NAME || !known) return null;
    const module = freshAt(now, slot, text);
    const plan = planMove(now, known, module, slot, newId());
    const edit: FieldEdit =
      typeof plan === 'string'
        ? { changes: [], problem: `${text}: ${plan}` }
        : { changes: plan.changes(false), problem: null };
    return {
      edits: [edit],
      then: (after, other, more) => {
        const made = after.get('module', module.id);
        const field = FIELDS[other - 1];
        return made && field ? [editField(MODULE, field, made, more, typingNow(after))] : [];
      },
    };
  }

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
    label: 'Edit modules',
    rows,
    columns: [Object.keys(rack.zones).length > 0 ? ZONE : NO_ZONE, ...COLUMNS],
  });
  function onEdit(edits: CellEdit[]) {
    const [first] = edits;
    const free = lines[rows.findIndex(({ id, once }) => once && id === first?.row)];
    if (!free || edits.length > 1) table.onEdit(edits);
    else if (first!.text.trim() !== '') plug(free.slot ?? 0, first!.text.trim());
  }
  function plug(slot: number, name: string) {
    move(freshAt(project, slot, name), slot, `Plug ${name} into slot ${slotName(rack, slot)}`);
  }
  const fresh = (now: Project, kind: Module['kind'], name: string): Module => ({
    id: newId(),
    order: orderAfter(childrenOf(now, 'module', rack.id)),
    name,
    rack: rack.id,
    slot: null,
    kind,
    orderCode: '',
    inputs: 0,
    outputs: 0,
  });
  /** Of the kind that its name begins with, else of what belongs there. */
  function freshAt(now: Project, slot: number, name: string): Module {
    const kinds = zoneAt(rack, slot)?.[1].kinds ?? [];
    const kind = MODULE_KINDS.find((k) => name.toLowerCase().startsWith(k.toLowerCase())) ?? kinds[0] ?? 'other';
    return fresh(now, kind, name);
  }

  function onKey(event: KeyboardEvent, at: CellAt): boolean {
    const module = moduleAt(at.row);
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
    const to = (module: Module, slot: number | null) =>
      editField(MODULE, 'slot', module, String(slot), typingNow(project));
    const changes = [to(a, b.slot), to(b, a.slot)];
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
        link={link(rows)}
        onKey={onKey}
        onDrop={(row) => {
          const module = moduleAt(row);
          if (module) dispatch(drop('Take a module out', 'module', module.id));
        }}
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
