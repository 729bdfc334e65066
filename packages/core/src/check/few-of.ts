const SHOWN = 3;

/** `Door`, `Door and Pump`, `Door, Pump, Valve and 4 more`. */
export function fewOf(names: readonly string[]): string {
  if (names.length <= 1) return names[0] ?? '';
  if (names.length <= SHOWN) return `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`;
  return `${names.slice(0, SHOWN).join(', ')} and ${names.length - SHOWN} more`;
}
