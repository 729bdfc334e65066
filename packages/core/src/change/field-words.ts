const FIELD = /^[a-z]+(?:[A-Z][a-z]+)*$/;

/** The field that a path leads to, as one says it: `toldPlace` is “told place”. Keys of lists, which are ids, are left out. */
export function fieldWords(path: readonly string[]): string {
  const field = path.filter((part) => part !== 'typed' && FIELD.test(part)).at(-1) ?? '';
  return field.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`);
}
