import { FACTS, type Fact } from './facts.js';
import type { PlannedDevice, PlannedIndex } from './planned-devices.js';

/** A planned device that a found one may be, with what speaks for it. */
export interface Candidate {
  planned: PlannedDevice;
  /** the strongest first */
  reasons: readonly Fact[];
  score: number;
}

/** A reason counts more than all weaker ones together; unit, node and telemetry address are as good as one another. */
const WEIGHT: Readonly<Partial<Record<Fact, number>>> = {
  hardware: 512,
  deviceName: 256,
  address: 128,
  unit: 32,
  node: 32,
  telemetry: 32,
  type: 8,
  orderCode: 4,
};

/** What names one device among others; what several of a kind share speaks only where none of that does. */
const NAMES_ONE: readonly Fact[] = ['hardware', 'deviceName', 'address', 'unit', 'node', 'telemetry'];
export const namesOne = ({ reasons }: Pick<Candidate, 'reasons'>): boolean =>
  reasons.some((fact) => NAMES_ONE.includes(fact));

/**
 * The planned devices that a found one may be, likeliest first: by hardware address, device name, address, unit or node, type
 * and order code, in this order. Of one station only the port that fits best. Where anything names one, a mere type does not.
 */
export function candidatesOf(index: PlannedIndex, found: Partial<Record<Fact, string>>): Candidate[] {
  const reasons = new Map<PlannedDevice, Fact[]>();
  for (const fact of FACTS) {
    if (WEIGHT[fact] === undefined) continue;
    for (const planned of index.with(fact, found[fact] ?? '')) {
      const known = reasons.get(planned);
      if (known) known.push(fact);
      else reasons.set(planned, [fact]);
    }
  }
  const all = [...reasons].map(([planned, facts]): Candidate => ({
    planned,
    reasons: facts,
    score: facts.reduce((sum, fact) => sum + WEIGHT[fact]!, 0),
  }));
  const named = all.filter(namesOne);
  const best = new Map<string, Candidate>();
  for (const one of named.length > 0 ? named : all) {
    const known = best.get(one.planned.station.id);
    if (!known || known.score < one.score) best.set(one.planned.station.id, one);
  }
  return [...best.values()].sort((a, b) => b.score - a.score);
}
