/**
 * The oracle for what travels bit by bit: memory as words, single bits set and read in it by number, carried one by one.
 * It imports nothing of the core, so that what it says is a second opinion.
 */
export interface BitMemory {
  /** 8, 16 or 32 */
  wordBits: number;
  /** bits a number of the view counts; 1: each number is a bit */
  unit: number;
  /** single bits, and the bits of a number, are counted from the least significant */
  fromBottom: boolean;
  highByteFirst: boolean;
  highRegisterFirst: boolean;
}

export type Words = number[];

/** Where a bit of this significance lies, of a number with `unit` bits that begins at a byte address. */
function bitOfNumber(m: BitMemory, unit: number, byte: number, significance: number): { word: number; bit: number } {
  const bytesOfWord = m.wordBits / 8;
  if (unit > m.wordBits) {
    const words = unit / m.wordBits;
    const fromLeast = Math.floor(significance / m.wordBits);
    const word = byte / bytesOfWord + (m.highRegisterFirst ? words - 1 - fromLeast : fromLeast);
    return { word, bit: significance % m.wordBits };
  }
  // A number narrower than a word: its bytes stand in the word in the order of the memory.
  const ofNumber = Math.floor(significance / 8);
  const at = byte + (m.highByteFirst ? unit / 8 - 1 - ofNumber : ofNumber);
  const inWord = at % bytesOfWord;
  const byteSignificance = m.highByteFirst ? bytesOfWord - 1 - inWord : inWord;
  return { word: Math.floor(at / bytesOfWord), bit: byteSignificance * 8 + (significance % 8) };
}

/** The word and the bit in it that the n-th bit has, counted number by number. */
export function nthBit(m: BitMemory, n: number): { word: number; bit: number } {
  if (m.unit === 1) {
    const inWord = n % m.wordBits;
    return { word: Math.floor(n / m.wordBits), bit: m.fromBottom ? inWord : m.wordBits - 1 - inWord };
  }
  const unit = Math.min(m.unit, m.wordBits);
  const inUnit = n % unit;
  return bitOfNumber(m, unit, (Math.floor(n / unit) * unit) / 8, m.fromBottom ? inUnit : unit - 1 - inUnit);
}

/** The same for a whole number: its bits go from the least significant up, however the end counts them. */
export function nthOfWords(m: BitMemory, n: number): { word: number; bit: number } {
  return m.unit === 1 ? nthBit(m, n) : nthBit({ ...m, fromBottom: true }, n);
}

/** Where bit `significance` of element `number` lies, for elements of so many bits. */
export const elementBit = (m: BitMemory, element: number, number: number, significance: number) =>
  bitOfNumber(m, element, (number * element) / 8, significance);

export const getBit = (words: Words, { word, bit }: { word: number; bit: number }): number =>
  Math.floor((words[word] ?? 0) / 2 ** bit) % 2;

export function setBit(words: Words, at: { word: number; bit: number }, value: number): void {
  const old = getBit(words, at);
  words[at.word] = (words[at.word] ?? 0) + (value - old) * 2 ** at.bit;
}
