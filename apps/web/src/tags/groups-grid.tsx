import { addGroup, entriesOf, GROUP } from '@dialoga/core/fields';
import type { Station } from '@dialoga/core/model';
import { newId } from '../api/new-id';
import { EntityGrid } from '../entities/entity-grid';
import { SectionHead } from '../theme/parts';
import { Foot } from './foot';

/** The groups of a tag server: the first part of an item text, each standing for one station. */
export function GroupsGrid({ station }: { station: Station }) {
  const groups = entriesOf<'station', NonNullable<Station['groups']>[string]>(station, ['groups']);
  if (groups.length === 0 && !station.roles.includes('tag server')) return null;
  return (
    <Foot aria-label="Groups">
      <SectionHead>
        <h2>Groups</h2>
        <p>the first part of an item text; each stands for one station</p>
      </SectionHead>
      <EntityGrid
        label="Groups of item texts"
        of={GROUP}
        rows={groups}
        step={`Groups of ${station.name}`}
        height={24}
        add={{
          hint: 'new group',
          by: 'name',
          begin(now, text) {
            const [server, path] = [now.get('station', station.id), ['groups', newId()]];
            return {
              edits: server ? [addGroup(server, path[1]!, text)] : [],
              made: (after) => GROUP.find(after, { kind: 'station', id: station.id, path }),
            };
          },
        }}
      />
    </Foot>
  );
}
