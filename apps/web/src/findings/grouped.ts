import type { Finding } from '@dialoga/core/finding';

/** Findings under each of their keys, in the order in which they come. */
export function grouped(
  findings: Iterable<Finding>,
  keysOf: (finding: Finding) => Iterable<string>,
): Map<string, Finding[]> {
  const groups = new Map<string, Finding[]>();
  for (const finding of findings) {
    for (const key of new Set(keysOf(finding))) {
      const known = groups.get(key);
      if (known) known.push(finding);
      else groups.set(key, [finding]);
    }
  }
  return groups;
}
