import { put } from '@dialoga/core/change';
import { newAreaOf } from '@dialoga/core/create';
import { AREA } from '@dialoga/core/fields';
import { childrenOf, orderAfter } from '@dialoga/core/model';
import { newId } from '../api/new-id';
import { EntityGrid } from '../entities/entity-grid';
import { useStateOf } from '../store/store';

/** The addressable memory of a station. */
export function AreasGrid({ station }: { station: string }) {
  const project = useStateOf((s) => s.project.project)!;
  return (
    <EntityGrid
      label="Areas"
      of={AREA}
      rows={childrenOf(project, 'area', station)}
      add={{
        hint: 'new area',
        by: 'name',
        begin(now, text) {
          const area = newAreaOf(now, station, newId(), orderAfter(childrenOf(now, 'area', station)), text, newId());
          const edits = [{ changes: [put('area', area)], problem: null }];
          return { label: `New area ${text}`, edits, made: (after) => after.get('area', area.id) };
        },
      }}
    />
  );
}
