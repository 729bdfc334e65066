import { transfer, wrap } from 'comlink';
import type { FileChoice, FileRead, TagFileReader } from './tag-file.worker';

/** A file that is being read by a worker of its own. */
export interface TagFile {
  name: string;
  /** ISO 8601 */
  saved: string;
  /** null once it was given up */
  read: (choice: FileChoice) => Promise<FileRead | null>;
  /** ends the worker, whatever it is doing */
  close: () => void;
}

/** Hands a file to a worker; a sentence where it cannot be taken at all. */
export async function openTagFile(file: File): Promise<TagFile | string> {
  const worker = new Worker(new URL('./tag-file.worker.ts', import.meta.url), { type: 'module' });
  const remote = wrap<TagFileReader>(worker);
  const bytes = await file.arrayBuffer();
  const problem = await remote.open(file.name, transfer(bytes, [bytes]));
  if (problem !== null) {
    worker.terminate();
    return problem;
  }
  return {
    name: file.name,
    saved: new Date(file.lastModified).toISOString(),
    read: (choice) => remote.read(choice),
    close: () => worker.terminate(),
  };
}
