/**
 * Why a name is no identifier of IEC 61131-3, or null where it is one: a letter or an underscore first, then letters,
 * digits and single underscores, none trailing. Case does not distinguish.
 * [published: IEC 61131-3, identifiers] [from memory]
 */
export function identifierFault(name: string): string | null {
  if (name === '') return 'it is empty';
  if (/^[0-9]/.test(name)) return 'it begins with a digit';
  const strange = /[^A-Za-z0-9_]/u.exec(name);
  if (strange)
    return strange[0].trim() === ''
      ? 'it has a space'
      : `“${strange[0]}” is neither a letter, a digit nor an underscore`;
  if (name.includes('__')) return 'it has two underscores in a row';
  return name.endsWith('_') ? 'it ends with an underscore' : null;
}

/** Whether two identifiers are the same one. */
export const sameIdentifier = (a: string, b: string): boolean => a.toUpperCase() === b.toUpperCase();
