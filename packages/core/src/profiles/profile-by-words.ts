import type { Profile } from '../model/profile.js';
import type { Project } from '../model/project.js';
import { read, unread, type Read } from '../text/read.js';
import { profilesToChoose } from './shipped.js';

const MOST_NAMED = 6;
const wordsOf = (text: string): string[] => text.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? [];

/** Whether each of these words begins a word of the name, no two of them the same one. */
function begin(words: readonly string[], name: string): boolean {
  const left = wordsOf(name);
  return words.every((word) => {
    const at = left.findIndex((one) => one.startsWith(word));
    if (at >= 0) left.splice(at, 1);
    return at >= 0;
  });
}

/** The profile that is meant: by its name, or by words of it where they fit no other: side by side, or
 * somewhere in it; those of the project come first. */
export function profileByWords(project: Project, text: string): Read<Profile> {
  const profiles = profilesToChoose(project);
  const clean = text.trim().toLowerCase();
  const exact = profiles.find(({ name }) => name.toLowerCase() === clean);
  if (exact) return read(exact);
  const words = wordsOf(clean);
  const side = profiles.filter(
    ({ name }) => words.length > 0 && ` ${wordsOf(name).join(' ')}`.includes(` ${words.join(' ')}`),
  );
  const fitting = side.length === 1 || words.length === 0 ? side : profiles.filter(({ name }) => begin(words, name));
  if (fitting.length === 1) return read(fitting[0]!);
  if (fitting.length > 1) {
    const named = fitting.slice(0, MOST_NAMED).map(({ name }) => name);
    const more = fitting.length > MOST_NAMED ? ` and ${fitting.length - MOST_NAMED} more` : '';
    return unread(`“${text}” fits ${fitting.length} profiles`, `write which: ${named.join('; ')}${more}`);
  }
  return unread(`“${text}” names no profile`, `profiles: ${profiles.map(({ name }) => name).join(', ')}`);
}
