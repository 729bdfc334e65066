import { proxy, transfer, wrap } from 'comlink';
import type { FileChoice, FileRead, TagFileReader } from './tag-file.worker';

/** A file that is being read by a worker of its own. */
export interface TagFile {
  name: string;
  /** ISO 8601 */
  saved: string;
  /** null: it is open */
  opened: Promise<string | null>;
  /** null once it was given up; told how many rows are read */
  read: (choice: FileChoice, progress: (rows: number) => void) => Promise<FileRead | null>;
  /** ends the worker, whatever it is doing */
  close: () => void;
}

/** Hands a file to a worker at once; `opened` is a sentence where it cannot be taken at all. */
export function openTagFile(file: File): TagFile {
  const worker = new Worker(new URL('./tag-file.worker.ts', import.meta.url), { type: 'module' });
  const remote = wrap<TagFileReader>(worker);
  const open = async () => {
    const bytes = await file.arrayBuffer();
    return remote.open(file.name, transfer(bytes, [bytes]));
  };
  return {
    name: file.name,
    saved: new Date(file.lastModified).toISOString(),
    opened: open(),
    read: (choice, progress) => remote.read(choice, proxy(progress)),
    close: () => worker.terminate(),
  };
}
