import type { Side } from '../lane/side.js';
import type { Reader } from '../model/project.js';
import { NO_AGE, type Age } from './age.js';
import { follow } from './follow.js';

/** The worst-case age of what a side reads, over every way that it can have come. */
export function oldestAt(reader: Reader, side: Side): Age {
  const [here, ...hops] = follow(reader, side.claim.id, null, 'back');
  return hops.reduce((worst, hop) => (hop.age.ms > worst.ms ? hop.age : worst), here?.age ?? NO_AGE);
}

/** What looks least often at a value on its way to a side: a program's pass, or an exchange's cadence. Null: not known. */
export function slowestSampling(reader: Reader, side: Side): { what: string; ms: number } | null {
  let slowest: { what: string; ms: number } | null = null;
  for (const hop of follow(reader, side.claim.id, null, 'back')) {
    const station = reader.get('station', hop.station);
    const exchange = hop.exchange ? reader.get('exchange', hop.exchange) : undefined;
    const terms = [
      { what: `the program of ${station?.name ?? ''}`, ms: station?.scan ?? 0 },
      { what: exchange?.name ?? '', ms: exchange?.cadence ?? 0 },
    ];
    for (const term of terms) if (term.ms > (slowest?.ms ?? 0)) slowest = term;
  }
  return slowest;
}
