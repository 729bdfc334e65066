import { elementary, formatType } from '../data/types.js';
import { misfit, roomOf } from './characters.js';
import type { Stimulus } from './stimulus.js';
import type { OwnValue } from './values.js';

/** Why a stimulus cannot be at a value, in a sentence; null: it can. */
export function unsettable(value: OwnValue, stimulus: Stimulus): string | null {
  const type = elementary(value.type.base);
  if (!type) return 'A stimulus is for a value of a known type.';
  if (stimulus.kind === 'echo') return null;
  if (type.family === 'text') {
    if (stimulus.kind !== 'text') return `A text is set at ${value.name || 'this value'}, and not a number.`;
    const room = roomOf(value);
    if (stimulus.text.length > room)
      return `“${stimulus.text}” has ${stimulus.text.length} characters, ${formatType(value.type)} takes ${room}.`;
    const odd = misfit(value, stimulus.text);
    return odd === null ? null : `${formatType(value.type)} has no character “${odd}”.`;
  }
  if (stimulus.kind === 'text') return `“${stimulus.text}” does not go into ${type.name}.`;
  const values =
    stimulus.kind === 'constant'
      ? [stimulus.value]
      : stimulus.kind === 'list'
        ? stimulus.values
        : stimulus.kind === 'step'
          ? [stimulus.before, stimulus.after]
          : stimulus.kind === 'square'
            ? [stimulus.low, stimulus.high]
            : stimulus.kind === 'ramp'
              ? [Math.trunc(stimulus.from), Math.trunc(stimulus.to)]
              : [];
  const bad = values.find((one) => !fits(one, type.family, type.bits));
  return bad === undefined ? null : `${bad} does not go into ${type.name}.`;
}

function fits(value: number | bigint, family: string, bits: number): boolean {
  if (family === 'real') return Number.isFinite(Number(value));
  if (typeof value === 'number' && !Number.isInteger(value)) return false;
  const whole = BigInt(value);
  const signed = family === 'signed' || family === 'duration';
  const top = 1n << BigInt(signed ? bits - 1 : bits);
  return whole < top && whole >= (signed ? -top : 0n);
}
