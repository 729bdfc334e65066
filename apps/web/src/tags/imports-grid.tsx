import { editImportSource } from '@dialoga/core/fields';
import { childrenOf, type TagImport } from '@dialoga/core/model';
import { useGridLink, type Shown } from '../findings/use-grid-link';
import { useWrongCells } from '../findings/use-wrong-cells';
import type { GridColumn } from '../grid/types';
import { SmallGrid } from '../grid/small-grid';
import { useTableOf } from '../grid/use-table';
import { useStateOf } from '../store/store';
import { SectionHead } from '../theme/parts';
import { Foot } from './foot';

const SHOWN: Shown = { kind: 'import', fields: ['file', null, null, null, 'source'], onlyThese: true };
const COLUMNS: readonly GridColumn[] = [
  { id: 'file', title: 'File', names: true, track: 'minmax(160px, 1fr)' },
  { id: 'at', title: 'Imported', track: '130px' },
  { id: 'became', title: 'What it did', track: 'minmax(220px, 1.4fr)' },
  { id: 'saved', title: 'File saved', track: '130px' },
  { id: 'source', title: 'Source changed', track: '130px' },
];

const when = (iso: string | null | undefined) => (iso ? iso.slice(0, 16).replace('T', ' ') : '');

/** What was brought in, newest first; when its source was changed since can be noted. */
export function ImportsGrid({ station }: { station: string }) {
  const project = useStateOf((s) => s.project.project)!;
  const tableOf = useTableOf();
  const wrong = useWrongCells('import');
  const link = useGridLink(SHOWN);
  const all = [...childrenOf(project, 'import', station)].reverse();
  if (all.length === 0) return null;
  const words = ({ became }: TagImport) =>
    `${became.added} added, ${became.changed} changed, ${became.dropped} dropped, ${became.unchanged} unchanged`;
  const rows = all.map((one) => ({
    id: one.id,
    height: 24,
    cells: [
      { text: one.file },
      { text: when(one.at) },
      { text: words(one) },
      { text: when(one.saved) },
      {
        ...{ text: when(one.source), editable: true, differs: wrong(one.id, 'source') },
        ...(one.source ? {} : { show: 'not known', muted: true }),
      },
    ],
  }));
  const table = tableOf({
    ...{ label: 'When a source was changed', columns: COLUMNS, rows },
    edit(now, row, _, text) {
      const one = now.get('import', row);
      return one ? [editImportSource(one, text)] : [];
    },
  });
  return (
    <Foot aria-label="Imported files">
      <SectionHead>
        <h2>Imported files</h2>
      </SectionHead>
      <SmallGrid label="Imported files" {...table} link={link} />
    </Foot>
  );
}
