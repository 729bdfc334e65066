import { kindWord } from '../model/kinds.js';
import { longestAt } from '../model/longest.js';
import { textLength } from '../model/text-length.js';
import { type Change, type Json, fieldWords } from './change.js';

/** The sentence for the first text of a change that is longer than its field takes; null where none is. */
export function tooLong({ kind, path, after }: Change): string | null {
  return after === undefined ? null : look(after, path);

  function look(value: Json, at: readonly string[]): string | null {
    if (typeof value === 'string') {
      const longest = longestAt(kind, at);
      if (textLength(value) <= longest) return null;
      const found = `“${value.slice(0, 20)}…” has ${textLength(value)} characters`;
      return `${found}; “${fieldWords(at)}” of a ${kindWord(kind)} takes at most ${longest}`;
    }
    if (typeof value !== 'object' || value === null) return null;
    for (const [key, inner] of Object.entries(value)) {
      const sentence = look(inner as Json, [...at, key]);
      if (sentence !== null) return sentence;
    }
    return null;
  }
}
