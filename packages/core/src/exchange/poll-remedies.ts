import { formatSerial } from '../wiring/serial-settings.js';
import { serialCost } from '../time/request-cost.js';
import { roundCadence } from '../time/line-pass.js';
import type { ExchangePlan } from './poll-plan-of.js';

/** Usual rates of serial lines, bit/s. [common practice] */
const RATES = [9600, 19_200, 38_400, 57_600, 115_200];

/** What would make a plan hold that takes longer than its cadence, each on its own. */
export interface PollRemedies {
  /** ms: the next round cadence that holds */
  cadence: number;
  /** the slowest usual rate of the line that holds, as `19200 8E1`; null: none does, or it is no line */
  line: string | null;
  /** ms of response delay that each answer may take at most; null: even none at all is too slow */
  delay: number | null;
}

export function pollRemedies(plan: ExchangePlan): PollRemedies | null {
  if (plan.holds !== false || plan.cadence === null) return null;
  const { cadence, pass } = plan;
  const requests = plan.devices.flatMap(({ requests, unit, cost }) => requests.map((r) => ({ ...r, unit, cost })));
  const delays = requests.reduce((sum, { cost }) => sum + delayOf(cost.terms), 0);
  const spare = cadence - (pass - delays);
  const serial = plan.devices[0]?.cost.serial ?? null;
  const passAt = (rate: number) =>
    requests.reduce((sum, { length, unit, cost }) => {
      const other = serialCost({ ...serial!, rate }, delayOf(cost.terms), unit === 'bits' ? 1 / 8 : 2);
      return sum + other.perRequest + other.perUnit * length;
    }, 0);
  const rate = serial && RATES.filter((r) => r > serial.rate).find((r) => passAt(r) <= cadence);
  return {
    cadence: roundCadence(pass),
    line: serial && rate ? formatSerial({ ...serial, rate }) : null,
    delay: spare < 0 ? null : Math.floor(spare / requests.length),
  };
}

const delayOf = (terms: readonly { name: string; ms: number }[]): number =>
  terms.find((term) => term.name === 'response delay')?.ms ?? 0;
