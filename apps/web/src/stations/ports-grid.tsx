import { changesNothing, put } from '@dialoga/core/change';
import { newPort } from '@dialoga/core/create';
import { editField, keepForSettingBack, PORT } from '@dialoga/core/fields';
import { childrenOf, inOrder, orderAfter } from '@dialoga/core/model';
import { newId } from '../api/new-id';
import { EntityGrid } from '../entities/entity-grid';
import { useStateOf } from '../store/store';

type PortField = keyof typeof PORT.fields;
/** Of an engineer's computer alone. */
const ADAPTER: readonly PortField[] = ['bridgedTo', 'recognised'];
const ALL = Object.keys(PORT.fields) as PortField[];
const USUAL = ALL.filter((field) => !ADAPTER.includes(field));

/** How a station is wired. */
export function PortsGrid({ station }: { station: string }) {
  const project = useStateOf((s) => s.project.project)!;
  const roles = project.get('station', station)?.roles ?? [];
  const workstation = roles.includes('workstation');
  const telemetry = roles.includes('telemetry unit');
  const ports = childrenOf(project, 'port', station);
  const racked = childrenOf(project, 'rack', station).length > 0;
  // What few stations have has its column at those.
  const shown = (workstation ? ALL : USUAL).filter(
    (field) =>
      (field !== 'module' || racked) && (field !== 'telemetry' || telemetry || ports.some((port) => port.telemetry)),
  );
  return (
    <EntityGrid
      label="Ports"
      of={PORT}
      rows={ports}
      columns={shown}
      add={{
        hint: 'new port',
        by: 'name',
        begin(now, text) {
          const order = orderAfter(childrenOf(now, 'port', station));
          const port = { ...newPort(newId(), order, station, inOrder(now, 'network')[0]?.id ?? null), name: text };
          const edits = [{ changes: [put('port', port)], problem: null }];
          return { label: 'New port', edits, made: (after) => after.get('port', port.id) };
        },
      }}
      edit={(port, field, text, editing) => {
        const made = editField(PORT, field, port, text, editing);
        if (!workstation || field !== 'address' || made.changes.every(changesNothing)) return [made];
        const said = { by: editing.by ?? '', at: editing.at ?? '' };
        return [made, { changes: keepForSettingBack(editing.project, port, newId(), said), problem: null }];
      }}
    />
  );
}
