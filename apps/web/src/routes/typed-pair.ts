import { readPair, type FieldEdit, type Project, type Station } from '@dialoga/core';

/** The two stations that somebody typed as A → B; null where it is empty or names none, which `refuse` is told. */
export function typedPair(
  project: Project,
  text: string,
  refuse: (edit: FieldEdit) => void,
): { from: Station; to: Station } | null {
  if (text.trim() === '') return null;
  const pair = readPair(project, text);
  if (!('changes' in pair)) return pair;
  refuse(pair);
  return null;
}
