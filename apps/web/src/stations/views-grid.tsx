import { set } from '@dialoga/core/change';
import { newView } from '@dialoga/core/create';
import { VIEW, viewsOf } from '@dialoga/core/fields';
import { childrenOf, orderAfter } from '@dialoga/core/model';
import { newId } from '../api/new-id';
import { EntityGrid } from '../entities/entity-grid';
import { dropRow } from '../store/dropping';
import { useAppDispatch, useStateOf } from '../store/store';
import { areaNamed } from './in-area';

/** Every view of every area: those of the profile to read, those of the area to edit. */
export function ViewsGrid({ station }: { station: string }) {
  const project = useStateOf((s) => s.project.project)!;
  const dispatch = useAppDispatch();
  const areas = childrenOf(project, 'area', station);
  const add = {
    hint: 'new view: area',
    by: 'area' as const,
    options: areas.map(({ name }) => name),
    begin(now: typeof project, text: string) {
      const area = areaNamed(now, station, text);
      if ('changes' in area) return { edits: [area] };
      const path = ['views', newId()];
      const view = newView(orderAfter(Object.values(area.views)), 'iec elements');
      return {
        edits: [{ changes: [set('area', area, path, view)], problem: null }],
        made: (after: typeof project) => VIEW.find(after, { kind: 'area', id: area.id, path }),
      };
    },
  };
  return (
    <EntityGrid
      label="Views"
      of={VIEW}
      rows={areas.flatMap((area) => viewsOf(project, area))}
      {...(areas.length > 0 ? { add } : {})}
      onDrop={({ entity, key }) => {
        if (!entity.views[key]) return;
        dispatch(dropRow('Delete view', { kind: 'area', id: entity.id, path: ['views', key] }));
      }}
    />
  );
}
