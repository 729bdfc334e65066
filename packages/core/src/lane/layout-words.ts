import type { LayoutRule } from '../model/layout-rule.js';
import { read, unread, type Read } from '../text/read.js';

/** What of a layout a block can say for itself, in words; each with the field that it is. */
const WORDS = [
  ['high byte first', 'byteOrder', 'high first'],
  ['low byte first', 'byteOrder', 'low first'],
  ['high register first', 'registerOrder', 'high first'],
  ['low register first', 'registerOrder', 'low first'],
  ['a BOOL per bit', 'boolPacking', 'bit'],
  ['a BOOL per byte', 'boolPacking', 'byte'],
  ['a BOOL per word', 'boolPacking', 'word'],
] as const satisfies readonly (readonly [words: string, field: keyof LayoutRule, value: string])[];

/** `low byte first, low register first`; empty where nothing is said. */
export const formatLayout = (rule: LayoutRule | null | undefined): string =>
  WORDS.filter(([, field, value]) => rule?.[field] === value)
    .map(([words]) => words)
    .join(', ');

/** The inverse; null where nothing is said. */
export function parseLayout(text: string): Read<LayoutRule | null> {
  const rule: LayoutRule = {};
  for (const piece of text.split(',').map((one) =>
    one
      .trim()
      .toLowerCase()
      .replace(/^a?\s*bool/, 'a bool'),
  )) {
    if (piece === '') continue;
    const found = WORDS.find(([words]) => words.toLowerCase() === piece);
    if (!found)
      return unread(
        `“${piece}” is no layout of a block`,
        `write ${WORDS.map(([words]) => words).join(', ')}, with commas between`,
      );
    Object.assign(rule, { [found[1]]: found[2] });
  }
  return read(Object.keys(rule).length === 0 ? null : rule);
}
