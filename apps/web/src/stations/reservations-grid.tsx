import { addReservation, entriesOf, RESERVATION } from '@dialoga/core/fields';
import { childrenOf } from '@dialoga/core/model';
import { newId } from '../api/new-id';
import { EntityGrid } from '../entities/entity-grid';
import { useStateOf } from '../store/store';
import { areaNamed } from './in-area';

/** Parts of areas that something else takes. */
export function ReservationsGrid({ station }: { station: string }) {
  const project = useStateOf((s) => s.project.project)!;
  const areas = childrenOf(project, 'area', station);
  const add = {
    hint: 'new: area',
    by: 'area' as const,
    options: areas.map(({ name }) => name),
    begin(now: typeof project, text: string) {
      const area = areaNamed(now, station, text);
      if ('changes' in area) return { edits: [area] };
      const path = ['reservations', newId()];
      return {
        edits: [addReservation(area, path[1]!)],
        made: (after: typeof project) => RESERVATION.find(after, { kind: 'area', id: area.id, path }),
      };
    },
  };
  return (
    <EntityGrid
      label="Reserved ranges"
      of={RESERVATION}
      rows={areas.flatMap((area) => entriesOf<'area', (typeof area.reservations)[string]>(area, ['reservations']))}
      {...(areas.length > 0 ? { add } : {})}
    />
  );
}
