import type { Change } from '../change/change.js';
import { unreadSentence, type Read } from './read.js';
import { unread, read } from './read.js';
import { shownWord } from './shown-word.js';

/** What typed text does to an entity, or why it cannot be taken; the sentence repeats what was typed. */
export interface FieldEdit {
  changes: Change[];
  problem: string | null;
}

export const changed = (...changes: Change[]): FieldEdit => ({ changes, problem: null });
export const refused = (miss: { found: string; expected: string }): FieldEdit => ({
  changes: [],
  problem: unreadSentence(miss),
});

/** One of these words, as it is shown or stored; the start of a word will do where it is the only one. */
export function parseWord<W extends string | number>(text: string, words: readonly W[], what: string): Read<W> {
  const clean = text.trim().toLowerCase();
  const exact = words.find((word) => shownWord(word).toLowerCase() === clean || String(word).toLowerCase() === clean);
  if (exact !== undefined) return read(exact);
  const starting = clean === '' ? [] : words.filter((word) => shownWord(word).toLowerCase().startsWith(clean));
  if (starting.length === 1) return read(starting[0]!);
  return unread(`“${text.trim()}” is not a valid ${what}`, `write ${words.map(shownWord).join(', ')}`);
}

/** `yes` or `no`, or the start of it; a cell that is emptied says no. */
export function parseYes(text: string): Read<boolean> {
  if (text.trim() === '') return read(false);
  const word = parseWord(text, ['yes', 'no'], 'answer');
  return word.ok ? read(word.value === 'yes') : word;
}

/** A whole number between two bounds. */
export function parseWhole(text: string, least: number, most: number, what: string): Read<number> {
  const clean = text.trim();
  const expected = `${what} is a whole number from ${least} to ${most}`;
  if (!/^\d{1,10}$/.test(clean)) {
    const comma = clean.includes(',') ? ', with a comma' : '';
    return unread(`“${text}” is not a whole number${comma}`, expected);
  }
  const value = Number(clean);
  return value < least || value > most ? unread(`${clean} is out of range`, expected) : read(value);
}
