import { put } from '@dialoga/core/change';
import { LANDING } from '@dialoga/core/fields';
import { childrenOf, inOrder, orderAfter, type Landing, type Project } from '@dialoga/core/model';
import { refused, type FieldEdit } from '@dialoga/core/text';
import { newId } from '../api/new-id';
import { EntityGrid } from '../entities/entity-grid';
import { useStateOf } from '../store/store';

/** What this controller says of each module that it claims, in its own rack or in another's. */
export function LandingsGrid({ station }: { station: string }) {
  const project = useStateOf((s) => s.project.project)!;
  return (
    <EntityGrid
      label="Module assignments"
      of={LANDING}
      rows={childrenOf(project, 'landing', station)}
      height={22}
      add={{
        hint: 'new: station and slot',
        by: 'module',
        begin(now, text) {
          const id = newId();
          const edits = [claim(now, station, text, id)];
          return { label: 'Claim a module', edits, made: (after) => after.get('landing', id) };
        },
      }}
    />
  );
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
    id,
    order: orderAfter(childrenOf(project, 'landing', station)),
    station,
    module: module.id,
    role: taken ? 'listener' : 'owner',
    inputsAt: null,
    outputsAt: null,
    slot: module.slot,
    inputs: module.inputs,
    outputs: module.outputs,
    orderCode: module.orderCode,
    accepted: module.found?.revision ?? '',
  };
  return { changes: [put('landing', landing)], problem: null };
}
