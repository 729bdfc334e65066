import type { End } from '@dialoga/core/model';

/** The two ends of an exchange that the sheet shows. */
export interface Pages {
  left: End;
  right: End;
}

/**
 * Which ends stand left and right: as the address bar has it, else the first two. An end that a link leads to is shown, on
 * the right where it was not shown yet. Null where there are not two.
 */
export function pagesOf(ends: readonly End[], search: URLSearchParams, linked: string | null): Pages | null {
  const [first, second] = ends;
  if (!first || !second) return null;
  const named = (param: string) => ends.find((e) => e.id === search.get(param));
  const left = named('left') ?? ends.find((e) => e !== named('right')) ?? first;
  const wanted = named('right');
  const right = wanted && wanted !== left ? wanted : ends.find((e) => e !== left)!;
  const led = ends.find((e) => e.id === linked);
  return led && led !== left && led !== right ? { left, right: led } : { left, right };
}

/**
 * The address bar for other pages. Choosing the end that stands on the other page exchanges the two. The cell that was
 * named goes: it may be of the end that gives way, and would lead back to it.
 */
export function withPage(search: URLSearchParams, pages: Pages, side: 'left' | 'right', end: string): URLSearchParams {
  const next = new URLSearchParams(search);
  const [other, own] = side === 'left' ? (['right', pages.left] as const) : (['left', pages.right] as const);
  next.delete('at');
  next.set(side, end);
  next.set(other, pages[other].id === end ? own.id : pages[other].id);
  return next;
}
