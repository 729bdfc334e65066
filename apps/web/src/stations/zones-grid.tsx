import { addZone, entriesOf, ZONE } from '@dialoga/core/fields';
import type { Rack } from '@dialoga/core/model';
import { newId } from '../api/new-id';
import { EntityGrid } from '../entities/entity-grid';

/** Neighbouring slots of a rack that take only some kinds of module, with a count and a gap rule of their own. */
export function ZonesGrid({ rack }: { rack: Rack }) {
  return (
    <EntityGrid
      label={`Zones of ${rack.name || 'the rack'}`}
      of={ZONE}
      rows={entriesOf<'rack', (typeof rack.zones)[string]>(rack, ['zones'])}
      height={22}
      add={{
        hint: 'new zone',
        by: 'name',
        begin(now, text) {
          const [known, path] = [now.get('rack', rack.id), ['zones', newId()]];
          return {
            label: 'New zone',
            edits: known ? [addZone(known, path[1]!, text)] : [],
            made: (after) => ZONE.find(after, { kind: 'rack', id: rack.id, path }),
          };
        },
      }}
    />
  );
}
