import { read, unread, type Read } from '../text/read.js';
import type { Scaling } from '../model/tag.js';

const NUMBER = '(-?\\d+(?:[.,]\\d+)?)';
const FORM = new RegExp(
  `^${NUMBER}\\s*(?:–|\\.\\.+|to)\\s*${NUMBER}\\s*(?:=|:|→|->)\\s*${NUMBER}\\s*(?:–|\\.\\.+|to)\\s*${NUMBER}$`,
);

/** `0–27648 = 0–100`: raw numbers, and what they stand for. */
export const formatScaling = ({ rawLow, rawHigh, low, high }: Scaling): string =>
  `${rawLow}–${rawHigh} = ${low}–${high}`;

/** The inverse; `..` and `to` stand for the dash, decimal commas are understood. */
export function parseScaling(text: string): Read<Scaling> {
  const match = FORM.exec(text.trim().replace(/−/g, '-'));
  const expected = 'a scaling is written 0–27648 = 0–100';
  if (!match) return unread(`“${text.trim()}” is not a valid scaling`, expected);
  const [rawLow = 0, rawHigh = 0, low = 0, high = 0] = match.slice(1).map((part) => Number(part.replace(',', '.')));
  if (rawLow === rawHigh) return unread(`“${text.trim()}” has one raw number for all`, expected);
  return read({ rawLow, rawHigh, low, high });
}
