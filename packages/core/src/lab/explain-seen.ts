import { elementary } from '../data/types.js';
import { arrivingWords, type Arriving } from '../rehearse/arriving.js';
import { shownValue } from '../rehearse/shown-value.js';
import { ORDERS, ordersFor, type Order } from './orders.js';
import { typedNumber } from '../text/typed-number.js';
import { decoded, encoded, isSeen } from './number.js';

/** What a walk can bring about, or what the two ends read differently; `same`: nothing went wrong. */
export type Cause = Arriving | 'type' | 'sign' | 'scale' | 'size' | 'text' | 'same';

/** One explanation of what was seen in place of what was expected. */
export interface Explanation {
  cause: Cause;
  sentence: string;
  /** what it would take for it: `REAL, registers exchanged` */
  detail: string;
  /** the likeliest has least */
  cost: number;
}

const TYPES = ['REAL', 'INT', 'UINT', 'DINT', 'UDINT', 'LREAL', 'LINT', 'ULINT'] as const;
const ORDER_COST: Record<Order, number> = {
  'as it stands': 0,
  'registers exchanged': 1,
  'bytes exchanged': 2,
  'all bytes reversed': 2,
  'registers reversed': 3,
};
const ARRIVING: Partial<Record<Order, Arriving>> = {
  'registers exchanged': 'registers',
  'bytes exchanged': 'bytes',
  'all bytes reversed': 'all bytes',
  'registers reversed': 'all registers',
};

/** Factors by which a value is wrong where somebody counts in other units. [common practice] */
const FACTORS: readonly [number, string][] = [
  [10, 'one place of the decimal point: tenths at one end'],
  [100, 'two places of the decimal point: hundredths at one end'],
  [1000, 'three places of the decimal point'],
  [2, 'one end counts bytes, the other words; or a range is given twice'],
  [256, 'the byte beside it was read: one byte further'],
  [65536, 'the register beside it was read: the two words are exchanged, and the other is 0'],
  [276.48, 'the raw number of an analogue point, not yet scaled: 27,648 is 100 %'],
  [327.68, 'the raw number of an analogue point, not yet scaled: 32,768 is 100 %'],
  [40.95, 'the raw number of a converter of 12 bits: 4,095 is 100 %'],
];

/** Explanations of `seen` where `expected` was meant, likeliest first. A text says what cannot be read. */
export function explainSeen(expected: string, seen: string): Explanation[] | string {
  const texts = asTexts(expected, seen);
  if (texts) return texts;
  const [meant, got] = [typedNumber(expected), typedNumber(seen)];
  if (!meant) return `“${expected}” is no number; a text stands in quotes`;
  if (!got) return `“${seen}” is no number; a text stands in quotes`;
  if (isSeen(meant.value, got) && meant.real === got.real)
    return [{ cause: 'same', sentence: 'that is what was expected', detail: '', cost: 0 }];
  const found: Explanation[] = [];
  for (const sent of TYPES) {
    const family = elementary(sent)!.family;
    if (meant.real && family !== 'real') continue;
    if (!fits(sent, meant.value)) continue;
    for (const taken of TYPES) {
      const [a, b] = [elementary(sent)!, elementary(taken)!];
      if (a.bits !== b.bits || (got.real && b.family !== 'real')) continue;
      for (const order of ordersFor(a.bits / 8)) {
        if (order === 'as it stands' && sent === taken) continue;
        const value = decoded(taken, ORDERS[order](encoded(sent, meant.value)));
        if (isSeen(value, got)) found.push(explained(sent, taken, order, shownValue(taken, value), meant.real));
      }
    }
  }
  found.push(...byFactor(Number(meant.value), got));
  const once = new Set<string>();
  return found
    .sort((a, b) => a.cost - b.cost)
    .filter(({ sentence }) => once.size < once.add(sentence).size)
    .slice(0, 8);
}

function fits(type: string, value: number | bigint): boolean {
  const { family, bits } = elementary(type)!;
  if (family === 'real') return true;
  if (typeof value !== 'bigint') return false;
  const top = 1n << BigInt(family === 'signed' ? bits - 1 : bits);
  return value < top && value >= (family === 'signed' ? -top : 0n);
}

function explained(sent: string, taken: string, order: Order, value: string, real: boolean): Explanation {
  const other = sent === taken ? null : `${sent} is taken as ${taken}`;
  const arriving = ARRIVING[order];
  const parts = [arriving && arrivingWords(arriving), other].filter(Boolean);
  const onlySign =
    order === 'as it stands' && elementary(sent)!.family !== 'real' && elementary(taken)!.family !== 'real';
  // A whole number is seldom kept as a REAL, and 64 bits seldom at all.
  const unusual = (elementary(sent)!.family === 'real' && !real ? 1 : 0) + (elementary(sent)!.bits === 64 ? 3 : 0);
  return {
    cause: arriving ?? (onlySign ? 'sign' : 'type'),
    sentence: parts.join(', and '),
    detail: `${sent}${arriving ? `, ${order}` : ''}: ${value}`,
    cost: ORDER_COST[order] + (other ? 2 : 0) + unusual,
  };
}

function byFactor(meant: number, got: { value: number | bigint; digits: number; real: boolean }): Explanation[] {
  if (meant === 0) return [];
  return FACTORS.flatMap(([factor, sentence], i) =>
    [meant * factor, meant / factor].flatMap((value, way): Explanation[] => {
      if (!isSeen(value, got) || Math.abs(value) < 1e-9) return [];
      const times =
        way === 0 ? `${factor.toLocaleString('en')} times too big` : `${factor.toLocaleString('en')} times too small`;
      return [
        { cause: [2, 256, 65536].includes(factor) ? 'size' : 'scale', sentence, detail: times, cost: 2 + i / 10 },
      ];
    }),
  );
}

const QUOTED = /^\s*['"“](.*)['"”]\s*$/;

function asTexts(expected: string, seen: string): Explanation[] | null {
  const [a, b] = [QUOTED.exec(expected)?.[1], QUOTED.exec(seen)?.[1]];
  if (a === undefined || b === undefined) return null;
  if (a === b) return [{ cause: 'same', sentence: 'that is what was expected', detail: '', cost: 0 }];
  const pairs = (text: string) => text.replace(/(.)(.)/gs, '$2$1');
  const even = (text: string) => (text.length % 2 === 0 ? text : `${text} `);
  if (pairs(even(a)).trimEnd() === b.trimEnd()) {
    return [
      {
        cause: 'bytes',
        sentence: 'its letters are exchanged in pairs: the two bytes of each register are exchanged',
        detail: '',
        cost: 0,
      },
    ];
  }
  if (a.startsWith(b))
    return [
      {
        cause: 'text',
        sentence: `only ${b.length} of ${a.length} characters arrive: the text is shorter at one end`,
        detail: '',
        cost: 1,
      },
    ];
  const at = a.indexOf(b.trimStart());
  if (at > 0 && b.trim().length > 1)
    return [
      {
        cause: 'text',
        sentence: `it begins ${at} characters late: a header is counted at one end only`,
        detail: '',
        cost: 1,
      },
    ];
  return [];
}
