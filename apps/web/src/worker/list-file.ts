import { proxy, transfer, wrap } from 'comlink';
import type { FileChoice, FileRead, ListFileReader, ListRows } from './list-file.worker';

/** A list that is being read by a worker of its own. */
export interface ListFile {
  name: string;
  /** ISO 8601; null: it was pasted */
  saved: string | null;
  /** null: it is open */
  opened: Promise<string | null>;
  /** null once it was given up; told how many rows are read */
  read: <K extends keyof ListRows>(
    kind: K,
    choice: FileChoice,
    progress: (rows: number) => void,
  ) => Promise<FileRead<K> | null>;
  /** ends the worker, whatever it is doing */
  close: () => void;
}

/** Hands a file to a worker at once; `opened` is a sentence where it cannot be taken at all. */
export const openListFile = (file: File): ListFile =>
  openBytes(file.name, new Date(file.lastModified).toISOString(), file.arrayBuffer());

/** The same for rows that were pasted. */
export const openPasted = (text: string): ListFile =>
  openBytes('pasted list', null, Promise.resolve(new TextEncoder().encode(text).buffer));

function openBytes(name: string, saved: string | null, content: Promise<ArrayBuffer>): ListFile {
  const worker = new Worker(new URL('./list-file.worker.ts', import.meta.url), { type: 'module' });
  const remote = wrap<ListFileReader>(worker);
  return {
    name,
    saved,
    opened: content.then((bytes) => remote.open(name, transfer(bytes, [bytes]))),
    read: (kind, choice, progress) => remote.read(kind, choice, proxy(progress)) as never,
    close: () => worker.terminate(),
  };
}
