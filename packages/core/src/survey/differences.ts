import type { FoundDevice } from '../model/found-device.js';
import { FACTS, plainFact, type Fact } from './facts.js';
import type { PlannedDevice } from './planned-devices.js';

/** One fact that is found otherwise than it is planned. */
export interface FactDifference {
  fact: Fact;
  planned: string;
  found: string;
}

/** What a found device says, fact by fact; undefined: it says nothing of that. */
export const factsOf = (found: FoundDevice): Partial<Record<Fact, string>> => ({
  hardware: found.hardware,
  deviceName: found.deviceName,
  address: found.address,
  unit: found.unit,
  node: found.node,
  telemetry: found.telemetry,
  type: found.type,
  orderCode: found.orderCode,
  revision: found.revision,
  slots: found.slots === null || found.slots === undefined ? undefined : String(found.slots),
});

/** What is found otherwise than planned, and what is found and nobody planned. */
export function differencesOf(
  facts: Partial<Record<Fact, string>>,
  planned: PlannedDevice,
): { differences: FactDifference[]; learnt: FactDifference[] } {
  const differences: FactDifference[] = [];
  const learnt: FactDifference[] = [];
  for (const fact of FACTS) {
    const found = facts[fact]?.trim();
    if (found === undefined) continue;
    const [a, b] = [plainFact(fact, found), plainFact(fact, planned.facts[fact])];
    if (a === b || (fact === 'type' && alike(a, b))) continue;
    // A device is often called as its station is; that is no device name of the plan's.
    if (fact === 'deviceName' && b === '' && a === plainFact(fact, planned.station.name)) continue;
    const one = { fact, planned: planned.facts[fact], found };
    if (b !== '' && (a !== '' || fact === 'address' || fact === 'deviceName')) differences.push(one);
    else if (b === '' && a !== '' && fact !== 'type') learnt.push(one);
  }
  return { differences, learnt };
}

/** Types are described, not named: one that says more than the other is no other. */
const alike = (a: string, b: string): boolean => a === '' || b === '' || a.includes(b) || b.includes(a);
