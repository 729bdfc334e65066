import { put } from '@dialoga/core/change';
import { COPY, newCopy } from '@dialoga/core/fields';
import { childrenOf } from '@dialoga/core/model';
import { newId } from '../api/new-id';
import { EntityGrid } from '../entities/entity-grid';
import { useStateOf } from '../store/store';

/** What a station moves inside itself: readings to the block that is asked for, a status to where it is looked for. */
export function CopiesGrid({ station }: { station: string }) {
  const project = useStateOf((s) => s.project.project)!;
  return (
    <EntityGrid
      label="Copies"
      of={COPY}
      rows={childrenOf(project, 'copy', station).filter((c) => c.station === station)}
      add={{
        hint: 'new copy',
        by: 'name',
        begin(now, name) {
          const copy = { ...newCopy(now, newId(), station), name };
          const edits = [{ changes: [put('copy', copy)], problem: null }];
          return { edits, made: (after) => after.get('copy', copy.id) };
        },
      }}
    />
  );
}
