const KEY = 'dialoga.author';
/** characters that the journal keeps */
export const LONGEST_AUTHOR = 100;

/** The name that stands beside edits made in this browser; empty: none was given. */
export const currentAuthor = (): string => localStorage.getItem(KEY) ?? '';

export function nameAuthor(name: string): void {
  localStorage.setItem(KEY, name.trim().slice(0, LONGEST_AUTHOR));
}
