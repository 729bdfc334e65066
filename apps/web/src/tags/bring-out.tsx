import { tagRows, writeCsv, writeIecText, writePlcopen } from '@dialoga/core/formats';
import type { Station } from '@dialoga/core/model';
import { exportTags } from '@dialoga/core/tags';
import { useStateOf } from '../store/store';
import { Select } from '../theme/parts';

const FORMATS = ['CSV', 'XLSX', 'PLCopen XML', 'IEC 61131-3 text'] as const;
type Format = (typeof FORMATS)[number];

/** Hands the tags of a station out as a file of one of the formats that are read. */
export function BringOut({ station }: { station: Station }) {
  const project = useStateOf((s) => s.project.project)!;
  async function write(format: Format) {
    const list = exportTags(project, station.id);
    const name = station.name.replace(/[^A-Za-z0-9_-]+/g, '-').toLowerCase() || 'tags';
    const save = (text: string, ending: string, type: string) =>
      download(new Blob([text], { type }), `${name}-tags.${ending}`);
    switch (format) {
      case 'CSV':
        return save(`\uFEFF${writeCsv(tagRows(list.tags), ';')}`, 'csv', 'text/csv;charset=utf-8');
      case 'PLCopen XML':
        return save(writePlcopen(list, station.name, new Date().toISOString().slice(0, 19)), 'xml', 'application/xml');
      case 'IEC 61131-3 text':
        return save(writeIecText(list), 'st', 'text/plain;charset=utf-8');
      case 'XLSX': {
        const { default: writeWorkbook } = await import('write-excel-file/browser');
        const rows = tagRows(list.tags).map((row) => row.map((value) => ({ value, type: String })));
        await writeWorkbook(rows).toFile(`${name}-tags.xlsx`);
      }
    }
  }
  return (
    <Select aria-label="Export as a file" value="" onChange={(event) => void write(event.target.value as Format)}>
      <option value="" disabled>
        Export …
      </option>
      {FORMATS.map((format) => (
        <option key={format}>{format}</option>
      ))}
    </Select>
  );
}

function download(blob: Blob, name: string): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(blob);
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 1000);
}
