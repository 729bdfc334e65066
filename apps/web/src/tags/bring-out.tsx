import { LIST_FORMATS } from '@dialoga/core/formats';
import type { Station } from '@dialoga/core/model';
import { exportTags } from '@dialoga/core/tags';
import { ActionMenu } from '../forms/action-menu';
import { useStateOf } from '../store/store';

/** Hands the tags of a station out as a file of one of the formats that are read. */
export function BringOut({ station }: { station: Station }) {
  const project = useStateOf((s) => s.project.project)!;
  async function write(name: string) {
    const format = LIST_FORMATS.find((one) => one.name === name)!;
    const file = `${station.name.replace(/[^A-Za-z0-9_-]+/g, '-').toLowerCase() || 'tags'}-tags.${format.endings[0]}`;
    const written = format.write(exportTags(project, station.id), station.name, new Date().toISOString().slice(0, 19));
    if ('text' in written) return download(new Blob([written.text], { type: written.type }), file);
    const { default: writeWorkbook } = await import('write-excel-file/browser');
    await writeWorkbook(written.cells.map((row) => row.map((value) => ({ value, type: String })))).toFile(file);
  }
  return (
    <ActionMenu
      text="Export …"
      label="Export as a file"
      items={LIST_FORMATS.map(({ name }) => name)}
      onTake={(name) => void write(name)}
    />
  );
}

function download(blob: Blob, name: string): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(blob);
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 1000);
}
