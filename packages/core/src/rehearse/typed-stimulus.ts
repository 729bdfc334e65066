import { elementary } from '../data/types.js';
import type { Tag } from '../model/tag.js';
import { typedNumber } from '../text/typed-number.js';
import { rawOf } from './scaled.js';
import { movingStimulus } from './stimulus-words.js';
import type { Stimulus } from './stimulus.js';
import type { OwnValue } from './values.js';

const ON = /^(true|on|1)$/i;
const OFF = /^(false|off|0)$/i;

/** What a value is set to, as it was typed: by its type, or in the unit of its tag. A sentence says what would be right. */
export function typedStimulus({ type }: OwnValue, tag: Tag | undefined, typed: string): Stimulus | { wrong: string } {
  const text = typed.trim();
  const family = elementary(type.base)?.family;
  const wrong = (right: string) => ({ wrong: `“${text}” cannot be set; ${right}.` });
  if (family === 'text') return { kind: 'text', text: /^(['"]).*\1$/.test(text) ? text.slice(1, -1) : typed };
  const moving = movingStimulus(text);
  if (moving) return moving;
  if (family === 'bool') {
    if (!ON.test(text) && !OFF.test(text))
      return wrong('a bit is 1 or 0, true or false, on or off; or it moves: square 0 and 1 every 1 s');
    return { kind: 'constant', value: ON.test(text) ? 1 : 0 };
  }
  const unit = tag?.unit?.trim() ?? '';
  if (tag && unit !== '' && text.endsWith(unit)) {
    const inUnit = typedNumber(text.slice(0, -unit.length));
    const raw = inUnit && rawOf(tag, Number(inUnit.value));
    if (raw === null) return wrong(`a number of ${unit} is set where the tag is scaled`);
    return { kind: 'constant', value: family === 'real' ? raw : Math.round(raw) };
  }
  const number = typedNumber(text);
  if (!number) return wrong('a number is set: 12.5, −3, 16#1234, 2#1010; or it moves: ramp 0 to 100 in 10 s');
  return { kind: 'constant', value: family === 'real' ? Number(number.value) : number.value };
}
