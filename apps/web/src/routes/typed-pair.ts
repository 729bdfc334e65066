import { readPair } from '@dialoga/core/fields';
import type { Project, Station } from '@dialoga/core/model';
import type { FieldEdit } from '@dialoga/core/text';

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
