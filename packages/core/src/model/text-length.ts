/**
 * How long a text is, in characters: Unicode code points, as JSON Schema's `maxLength` [published: JSON Schema
 * Validation 2020-12, 6.3.1] and the columns of the database count them. A letter with a variation selector is two.
 */
export function textLength(text: string): number {
  let length = text.length;
  for (let i = 0; i < text.length - 1; i++) {
    if (isHigh(text.charCodeAt(i)) && isLow(text.charCodeAt(i + 1))) {
      length--;
      i++;
    }
  }
  return length;
}

/** Whether every half of a surrogate pair has its other half; what has not cannot be written as UTF-8. */
export function isWellFormed(text: string): boolean {
  for (let i = 0; i < text.length; i++) {
    const code = text.charCodeAt(i);
    if (isHigh(code) && isLow(text.charCodeAt(i + 1))) i++;
    else if (isHigh(code) || isLow(code)) return false;
  }
  return true;
}

const isHigh = (code: number) => code >= 0xd800 && code < 0xdc00;
const isLow = (code: number) => code >= 0xdc00 && code < 0xe000;
