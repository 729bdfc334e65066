import { unreadSentence } from '@dialoga/core/text';
import type { DragEvent } from 'react';
import { projectSlice } from '../store/project-slice';
import { useAppDispatch } from '../store/store';
import { openListFile } from '../worker/list-file';

/** A text that was dropped, or the cells of a file, tab-separated; a sentence where it is neither. */
async function contentOf(transfer: DataTransfer): Promise<{ text: string } | { problem: string }> {
  const [file] = transfer.files;
  if (!file) return { text: transfer.getData('text/plain') };
  const list = openListFile(file);
  try {
    const problem = await list.opened;
    if (problem !== null) return { problem: `${problem}.` };
    const read = await list.read('block', { ownAddresses: true }, () => undefined);
    if (!read) return { problem: `${file.name} cannot be read.` };
    const { list: cells } = read;
    if (!cells.ok) return { problem: `${file.name}: ${unreadSentence(cells)}` };
    return { text: cells.value.map((row) => row.join('\t')).join('\n') };
  } finally {
    list.close();
  }
}

/** What is dropped on a place is as if it were pasted there: text, or a file of cells. */
export function useDropped<T extends Element>(take: (text: string, event: DragEvent<T>) => void) {
  const dispatch = useAppDispatch();
  return {
    onDragOver(event: DragEvent<T>) {
      if (event.dataTransfer.types.some((type) => type === 'Files' || type === 'text/plain')) event.preventDefault();
    },
    onDrop(event: DragEvent<T>) {
      event.preventDefault();
      event.stopPropagation();
      void contentOf(event.dataTransfer).then((content) => {
        if ('problem' in content) dispatch(projectSlice.actions.noticed(content.problem));
        else if (content.text.trim() !== '') take(content.text, event);
      });
    },
  };
}
