import type { Pasted } from '@dialoga/core/sheet';

/** What became of a pasted block, in a sentence or three. */
export function pasteWords(pasted: Pasted, what: string, block: string[][], merged = 0): string {
  const { understood, problems, count, tags } = pasted;
  const words = [`${count} ${count === 1 ? what.replace(/s$/, '') : what} pasted.`];
  if (tags > 0) words.push(`${tags} ${tags === 1 ? 'tag was' : 'tags were'} made for names that were not there.`);
  const left = understood.columns.flatMap((column, i) =>
    column === null ? [understood.headed ? `“${block[0]?.[i] ?? ''}”` : `${i + 1}`] : [],
  );
  if (understood.headed) words.push('The first line was taken as headings.');
  if (merged > 0) {
    words.push(
      `${merged} merged ${merged === 1 ? 'cell stands' : 'cells stand'} for each row that ${merged === 1 ? 'it spans' : 'they span'}.`,
    );
  }
  if (left.length > 0) words.push(`Left out, with no place here: column ${left.join(', ')}.`);
  if (problems.length > 0)
    words.push(
      `Kept as typed: ${problems.slice(0, 3).join('; ')}${problems.length > 3 ? ` and ${problems.length - 3} more` : ''}.`,
    );
  return words.join(' ');
}
