/**
 * Words of the model that people read otherwise than they are stored: project files and journals keep the word that they
 * were written with, so that they open for good, while screens and sentences use the word of the trade.
 */
const SHOWN: Readonly<Record<string, string>> = {
  'looking on': 'diagnostics',
  own: 'ours',
  outside: 'external',
};

/** How a stored word of a closed list is shown: `looking on` as `diagnostics`; one that needs no other, as it is. */
export const shownWord = (word: string | number): string => SHOWN[word] ?? String(word);
