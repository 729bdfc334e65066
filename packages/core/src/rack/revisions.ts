import { read, unread, type Read, squeezed } from '../text/read.js';

/** A revision part by part; a part that is `x` stands for any. */
type Parts = (number | 'x')[];

/** One stretch of a range: from one revision to another, both included. */
interface Stretch {
  from: Parts;
  to: Parts;
}

/** What a range of accepted revisions takes. */
export type AcceptedRevisions = 'any' | readonly Stretch[];

const EXPECTED = 'write 5.2, 5.2–5.x, 5.x, several with commas, or any';

function partsOf(text: string): Parts | null {
  const clean = text.trim().replace(/^v/i, '');
  if (!/^\d+(\.(\d+|x))*$|^x$/i.test(clean)) return null;
  const parts = clean.split('.').map((part) => (part.toLowerCase() === 'x' ? ('x' as const) : Number(part)));
  const open = parts.indexOf('x');
  return open >= 0 && parts.slice(open).some((part) => part !== 'x') ? null : parts;
}

/** Reads a range of revisions: `5.2` · `5.2–5.x` · `5.x` · `4.3–4.9, 5.1` · `any`. */
export function parseAccepted(text: string): Read<AcceptedRevisions> {
  const clean = squeezed(text);
  if (clean.toLowerCase() === 'any') return read('any');
  if (clean === '') return unread('no revision is accepted', EXPECTED);
  const stretches: Stretch[] = [];
  for (const piece of clean.split(',')) {
    const [first = '', last, ...more] = piece.split(/\s*[–—-]\s*/);
    const from = partsOf(first);
    const to = last === undefined ? from : partsOf(last);
    if (!from || !to || more.length > 0) return unread(`“${piece.trim()}” is not a valid revision`, EXPECTED);
    if (compareParts(from, to, 'least', 'most') > 0) {
      return unread(`${piece.trim()} ends before it begins`, 'write the lower revision first');
    }
    stretches.push({ from, to });
  }
  return read(stretches);
}

/** Negative: a is below b. An `x` is the least or the most that it can stand for; missing parts are 0. */
function compareParts(a: Parts, b: Parts, openA: 'least' | 'most', openB: 'least' | 'most'): number {
  const value = (parts: Parts, i: number, open: 'least' | 'most') => {
    const at = parts[i];
    const isOpen = at === 'x' || (at === undefined && parts.at(-1) === 'x');
    if (isOpen) return open === 'least' ? -1 : Infinity;
    return at ?? 0;
  };
  for (let i = 0; i < Math.max(a.length, b.length); i++) {
    const [x, y] = [value(a, i, openA), value(b, i, openB)];
    if (x !== y) return x < y ? -1 : 1;
  }
  return 0;
}

/** Compares two revisions or versions part by part: 12.10 is above 12.9. Null where one cannot be read. */
export function compareVersions(a: string, b: string): number | null {
  const [x, y] = [partsOf(a), partsOf(b)];
  return x && y ? compareParts(x, y, 'least', 'least') : null;
}

/** Whether a revision that was found is among the accepted ones. Null where the found one cannot be read. */
export function accepts(accepted: AcceptedRevisions, found: string): boolean | null {
  const parts = partsOf(found);
  if (!parts || parts.includes('x')) return null;
  if (accepted === 'any') return true;
  return accepted.some(
    ({ from, to }) => compareParts(from, parts, 'least', 'least') <= 0 && compareParts(parts, to, 'least', 'most') <= 0,
  );
}

/** Whether the range was opened at its end, so that it takes what nobody has tried: `any`, or an `x`. */
export function isWidened(accepted: AcceptedRevisions): boolean {
  return accepted === 'any' || accepted.some(({ from, to }) => from.includes('x') || to.includes('x'));
}
