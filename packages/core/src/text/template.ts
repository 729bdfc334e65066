/** What may stand in the place of a part. */
export interface PartForm {
  holds: (character: string) => boolean;
  /** as few characters as will do, or as many */
  takes: 'few' | 'many';
}

/** A template in pieces: words as they are, and parts, each of them once. */
export type Template = readonly (string | { part: string })[];

/**
 * `{station}:{slot}` in pieces. A part that stands in it once more is words from there on: two places for one thing
 * could not be told apart when a text is read.
 */
export function readTemplate(text: string, parts: readonly string[]): Template {
  const seen = new Set<string>();
  const pieces: (string | { part: string })[] = [];
  let words = '';
  for (let at = 0; at < text.length;) {
    const part = parts.find((one) => !seen.has(one) && text.startsWith(`{${one}}`, at));
    if (part === undefined) {
      words += text[at++];
      continue;
    }
    seen.add(part);
    if (words !== '') pieces.push(words);
    words = '';
    pieces.push({ part });
    at += part.length + 2;
  }
  return words === '' ? pieces : [...pieces, words];
}

/** The part, `{slot}`, that stands in a text more than once; null where none does. */
export function partTwice(text: string): string | null {
  const parts: string[] = text.match(/\{[a-z]+\}/g) ?? [];
  return parts.find((part, i) => parts.indexOf(part) < i) ?? null;
}

/** The text that a template makes of values; a part without one is left empty. */
export const fillTemplate = (template: Template, values: Readonly<Record<string, string>>): string =>
  template.map((piece) => (typeof piece === 'string' ? piece : (values[piece.part] ?? ''))).join('');

/**
 * What each part stands for in a text, or null where the text is not of this form. Every part stands for one character
 * at least. Work grows with the length of the text times the number of pieces, whatever they are: for each piece, from
 * the last one on, it is noted from where on the text can be what follows.
 */
export function matchTemplate(
  template: Template,
  forms: Readonly<Record<string, PartForm>>,
  text: string,
): Record<string, string> | null {
  // ends[i][at]: where piece i ends if it begins at `at` and all that follows fits; -1: it does not.
  const ends: Int32Array[] = [];
  let fits = (at: number) => at === text.length;
  for (const piece of [...template].reverse()) {
    const follows = fits;
    const own = new Int32Array(text.length + 1).fill(-1);
    if (typeof piece === 'string') {
      for (let at = 0; at + piece.length <= text.length; at++) {
        if (follows(at + piece.length) && text.startsWith(piece, at)) own[at] = at + piece.length;
      }
    } else {
      const { holds, takes } = forms[piece.part]!;
      for (let at = text.length - 1; at >= 0; at--) {
        if (!holds(text[at]!)) continue;
        const near = follows(at + 1) ? at + 1 : -1;
        const far = own[at + 1]!;
        own[at] = takes === 'few' ? (near >= 0 ? near : far) : far >= 0 ? far : near;
      }
    }
    ends.unshift(own);
    fits = (at) => own[at]! >= 0;
  }
  if (!fits(0)) return null;
  const values: Record<string, string> = {};
  let at = 0;
  for (const [i, piece] of template.entries()) {
    const end = ends[i]![at]!;
    if (typeof piece !== 'string') values[piece.part] = text.slice(at, end);
    at = end;
  }
  return values;
}

export const isDigit = (character: string): boolean => character >= '0' && character <= '9';
