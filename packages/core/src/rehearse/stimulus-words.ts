import { typedNumber } from '../text/typed-number.js';
import type { Stimulus } from './stimulus.js';

/** µs */
const UNITS: Readonly<Record<string, number>> = { ms: 1000, s: 1_000_000, min: 60_000_000 };

const NUMBER = String.raw`([-−]?[\w.#,]+)`;
const TIME = String.raw`(\d+(?:\.\d+)?)\s*(ms|s|min)`;
const form = (text: string): RegExp => new RegExp(`^${text.replace(/ /g, String.raw`\s+`)}$`, 'i');
const FORMS = {
  step: form(`step ${NUMBER} to ${NUMBER} after ${TIME}`),
  ramp: form(`ramp ${NUMBER} to ${NUMBER} in ${TIME}`),
  counter: form(`counter every ${TIME}(?: by ${NUMBER})?`),
  square: form(`square ${NUMBER} and ${NUMBER} every ${TIME}`),
  walking: form(`walking one every ${TIME}`),
  list: /^(.+)\s+every\s+(\d+(?:\.\d+)?)\s*(ms|s|min)$/i,
};

/** How a stimulus that moves is typed, for help. */
export const STIMULUS_FORMS =
  'step 0 to 1 after 500 ms, ramp 0 to 100 in 10 s, counter every 100 ms, square 0 and 1 every 1 s, walking one every 1 s, 1; 5; 9 every 1 s, echo NAME for what comes there under that name';

/** `ramp 0 to 100 in 10 s`: a stimulus that moves, as it is typed. Null: it is none. */
export function movingStimulus(text: string): Stimulus | null {
  const typed = text.trim();
  const number = (one: string | undefined) => Number(typedNumber(one ?? '')?.value ?? Number.NaN);
  const time = (count: string | undefined, unit: string | undefined) =>
    Math.round(Number(count) * UNITS[unit?.toLowerCase() ?? '']!);
  const read = (): Stimulus | null => {
    let found = FORMS.step.exec(typed);
    if (found) return { kind: 'step', before: number(found[1]), after: number(found[2]), at: time(found[3], found[4]) };
    found = FORMS.ramp.exec(typed);
    if (found) return { kind: 'ramp', from: number(found[1]), to: number(found[2]), every: time(found[3], found[4]) };
    found = FORMS.counter.exec(typed);
    if (found)
      return { kind: 'counter', every: time(found[1], found[2]), ...(found[3] ? { step: number(found[3]) } : {}) };
    found = FORMS.square.exec(typed);
    if (found)
      return { kind: 'square', low: number(found[1]), high: number(found[2]), every: time(found[3], found[4]) };
    found = FORMS.walking.exec(typed);
    if (found) return { kind: 'walking one', every: time(found[1], found[2]) };
    found = FORMS.list.exec(typed);
    return found
      ? { kind: 'list', values: found[1]!.split(';').map((one) => number(one)), every: time(found[2], found[3]) }
      : null;
  };
  const stimulus = read();
  return stimulus && isWhole(stimulus) ? stimulus : null;
}

/** All its numbers are numbers, and its time is one. */
function isWhole(stimulus: Stimulus): boolean {
  const all = Object.values(stimulus).flatMap((one: unknown) => (typeof one === 'string' ? [] : one)) as number[];
  const times = 'every' in stimulus ? [stimulus.every] : 'at' in stimulus ? [stimulus.at] : [];
  return all.every((one) => Number.isFinite(one)) && times.every((one) => one > 0);
}

/** A stimulus as it could be typed again. */
export function stimulusWords(stimulus: Stimulus): string {
  switch (stimulus.kind) {
    case 'constant':
      return `held at ${stimulus.value}`;
    case 'text':
      return `held at '${stimulus.text}'`;
    case 'step':
      return `step ${stimulus.before} to ${stimulus.after} after ${timeWords(stimulus.at)}`;
    case 'ramp':
      return `ramp ${stimulus.from} to ${stimulus.to} in ${timeWords(stimulus.every)}`;
    case 'counter':
      return `counter every ${timeWords(stimulus.every)}${stimulus.step === undefined ? '' : ` by ${stimulus.step}`}`;
    case 'square':
      return `square ${stimulus.low} and ${stimulus.high} every ${timeWords(stimulus.every)}`;
    case 'walking one':
      return `walking one every ${timeWords(stimulus.every)}`;
    case 'echo':
      return `echo ${stimulus.name}`;
    case 'list':
      return `${stimulus.values.join('; ')} every ${timeWords(stimulus.every)}`;
  }
}

const timeWords = (us: number): string => (us % 1_000_000 === 0 ? `${us / 1_000_000} s` : `${us / 1000} ms`);
