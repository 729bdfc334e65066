import { dropWithDependents } from '@dialoga/core/change';
import { tagFieldText } from '@dialoga/core/fields';
import { childrenOf, type TagSeries } from '@dialoga/core/model';
import { useState } from 'react';
import { useGridLink, type Shown } from '../findings/use-grid-link';
import { useWrongCells } from '../findings/use-wrong-cells';
import type { GridColumn } from '../grid/types';
import { useStateOf } from '../store/store';
import { SmallGrid } from '../grid/small-grid';
import { useEdits } from '../store/use-edits';
import { SectionHead } from '../theme/parts';
import { Foot } from './foot';
import { SeriesDialog } from './series-dialog';

const SHOWN: Shown = { kind: 'series', fields: [null, 'sample', 'count', 'type', 'place', null], onlyThese: true };
const COLUMNS: readonly GridColumn[] = [
  { id: 'open', title: 'Change', track: '70px', quiet: true },
  { id: 'sample', title: 'First', names: true, track: 'minmax(160px, 1fr)' },
  { id: 'count', title: 'Points', track: '70px', right: true },
  { id: 'type', title: 'Type', track: '120px' },
  { id: 'place', title: 'First address', track: '120px' },
  { id: 'has', title: 'Tags', track: '70px', right: true },
];

/** The series of a station; changing one shows first what it would do. */
export function SeriesGrid({ station: id }: { station: string }) {
  const project = useStateOf((s) => s.project.project)!;
  const wrong = useWrongCells('series');
  const commit = useEdits();
  const link = useGridLink(SHOWN);
  const [changing, setChanging] = useState<TagSeries | null>(null);
  const all = childrenOf(project, 'series', id);
  const station = project.get('station', id)!;
  if (all.length === 0) return null;
  const tags = childrenOf(project, 'tag', id);
  const rows = all.map((series) => {
    const as = { id: '', order: 0, station: id, name: series.sample, type: series.type, place: series.place };
    const change = { label: `Change the series ${series.sample}`, run: () => setChanging(series) };
    return {
      id: series.id,
      height: 24,
      cells: [
        { text: 'Change', action: change },
        { text: series.sample },
        { text: String(series.count), right: true, differs: wrong(series.id, 'count') },
        { text: tagFieldText(project, as, 'type') },
        { text: tagFieldText(project, as, 'place'), mono: true },
        { text: String(tags.filter((tag) => tag.series === series.id).length), right: true },
      ],
    };
  });
  return (
    <Foot aria-label="Series">
      <SectionHead>
        <h2>Series</h2>
        <p>made by a sample and a count; another count keeps the tags that stay</p>
      </SectionHead>
      <SmallGrid
        label="Series of tags"
        columns={COLUMNS}
        rows={rows}
        onEdit={() => undefined}
        link={link}
        onDrop={(row) =>
          commit('Delete a series, its tags stay', [
            { changes: dropWithDependents(project, 'series', row), problem: null },
          ])
        }
      />
      {changing && <SeriesDialog station={station} series={changing} onClose={() => setChanging(null)} />}
    </Foot>
  );
}
