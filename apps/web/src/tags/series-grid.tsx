import { dropWithDependents } from '@dialoga/core/change';
import { SERIES } from '@dialoga/core/fields';
import { childrenOf, type TagSeries } from '@dialoga/core/model';
import { useState } from 'react';
import { EntityGrid } from '../entities/entity-grid';
import { useStateOf } from '../store/store';
import { useEdits } from '../store/use-edits';
import { SectionHead } from '../theme/parts';
import { Foot } from './foot';
import { SeriesDialog } from './series-dialog';

/** The series of a station; changing one shows first what it would do. */
export function SeriesGrid({ station: id }: { station: string }) {
  const project = useStateOf((s) => s.project.project)!;
  const commit = useEdits();
  const [changing, setChanging] = useState<TagSeries | null>(null);
  const all = childrenOf(project, 'series', id);
  if (all.length === 0) return null;
  return (
    <Foot aria-label="Series">
      <SectionHead>
        <h2>Series</h2>
        <p>made by a sample and a count; another count keeps the tags that stay</p>
      </SectionHead>
      <EntityGrid
        label="Series of tags"
        of={SERIES}
        rows={all}
        height={24}
        strict
        look={(series, field) =>
          field === 'open'
            ? { action: { label: `Change the series ${series.sample}`, run: () => setChanging(series) } }
            : undefined
        }
        onDrop={(series) =>
          commit('Delete a series, its tags stay', [
            { changes: dropWithDependents(project, 'series', series.id), problem: null },
          ])
        }
      />
      {changing && (
        <SeriesDialog station={project.get('station', id)!} series={changing} onClose={() => setChanging(null)} />
      )}
    </Foot>
  );
}
