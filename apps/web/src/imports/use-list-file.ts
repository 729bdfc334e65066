import { useEffect, useState } from 'react';
import { openListFile, openPasted, type ListFile } from '../worker/list-file';
import type { FileChoice, FileRead, ListRows } from '../worker/list-file.worker';

const counted = (n: number) => n.toLocaleString('en');

/** A file or a pasted list, read by a worker and read again as it is corrected. */
export function useListFile<K extends keyof ListRows>(
  kind: K,
  { ownAddresses, remembered }: { ownAddresses: boolean; remembered?: string },
) {
  const [file, setFile] = useState<ListFile | null>(null);
  /** the worker has it, and it can be read */
  const [open, setOpen] = useState(false);
  const [busy, setBusy] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const [choice, setChoice] = useState<Omit<FileChoice, 'ownAddresses' | 'remembered'>>({});
  const [read, setRead] = useState<FileRead<K> | null>(null);

  function giveUp() {
    setFile(null);
    setOpen(false);
    setRead(null);
    setBusy('');
    setProblem(null);
  }
  function begin(next: ListFile) {
    giveUp();
    setChoice({});
    setBusy(`reading ${next.name}`);
    setFile(next);
  }
  // The worker of the file ends with the page, or with another file.
  useEffect(() => {
    if (!file) return;
    let current = true;
    void file.opened.then((refused) => {
      if (!current) return;
      setOpen(refused === null);
      setProblem(refused);
      if (refused === null) return;
      setBusy('');
      setFile(null);
    });
    return () => {
      current = false;
      file.close();
    };
  }, [file]);
  useEffect(() => {
    if (!file || !open) return;
    let current = true;
    const before = choice.columns || remembered === undefined ? {} : { remembered };
    const tell = (rows: number) => current && setBusy(`reading ${file.name}, ${counted(rows)} rows`);
    void file.read(kind, { ...choice, ownAddresses, ...before }, tell).then((next) => {
      if (!current) return;
      setBusy('');
      setRead(next);
    });
    return () => {
      current = false;
    };
  }, [kind, file, open, choice, ownAddresses, remembered]);

  return {
    file,
    busy,
    problem,
    read,
    choice,
    setBusy,
    giveUp,
    choose: (more: Partial<FileChoice>) => setChoice((known) => ({ ...known, ...more })),
    bringIn: (chosen: File | undefined) => chosen && begin(openListFile(chosen)),
    paste: (text: string) => (text.trim() === '' ? giveUp() : begin(openPasted(text))),
  };
}
