/** What stands in for a program at a source, which is not ours to know. Times in µs. */
export type Stimulus =
  | { kind: 'constant'; value: number | bigint }
  | { kind: 'text'; text: string }
  | { kind: 'step'; before: number; after: number; at: number }
  | { kind: 'ramp'; from: number; to: number; every: number }
  | { kind: 'counter'; every: number; step?: number }
  | { kind: 'square'; low: number; high: number; every: number }
  | { kind: 'walking one'; every: number }
  | { kind: 'list'; values: readonly number[]; every: number }
  /** what a link brings to the same station, under its name there */
  | { kind: 'echo'; link: string; key: string; name: string };

/** The value of a stimulus so long after it began; `bits` of the value, for those that go round. */
export function stimulated(
  stimulus: Exclude<Stimulus, { kind: 'text' | 'echo' }>,
  since: number,
  bits: number,
): number | bigint {
  switch (stimulus.kind) {
    case 'constant':
      return stimulus.value;
    case 'step':
      return since < stimulus.at ? stimulus.before : stimulus.after;
    case 'ramp': {
      const part = (since % stimulus.every) / stimulus.every;
      return stimulus.from + (stimulus.to - stimulus.from) * part;
    }
    case 'counter':
      return (Math.floor(since / stimulus.every) * (stimulus.step ?? 1)) % 2 ** Math.min(bits, 31);
    case 'square':
      return Math.floor(since / stimulus.every) % 2 === 0 ? stimulus.low : stimulus.high;
    case 'walking one':
      return 2 ** (Math.floor(since / stimulus.every) % Math.min(bits, 31));
    case 'list':
      return stimulus.values[Math.floor(since / stimulus.every) % Math.max(1, stimulus.values.length)] ?? 0;
  }
}
