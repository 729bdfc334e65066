/** Nothing of ours nests deeper; what does is refused before anything walks it. */
export const DEEPEST = 40;

/** Whether a parsed value nests deeper than `DEEPEST` levels. It does not call itself, and so takes any depth. */
export function isTooDeep(value: unknown): boolean {
  const open: unknown[] = [value];
  const depths: number[] = [0];
  for (let at = open.pop(), depth = depths.pop()!; ; at = open.pop(), depth = depths.pop()!) {
    if (typeof at === 'object' && at !== null) {
      if (depth >= DEEPEST) return true;
      for (const child of Object.values(at)) {
        if (typeof child !== 'object' || child === null) continue;
        open.push(child);
        depths.push(depth + 1);
      }
    }
    if (open.length === 0) return false;
  }
}
