/**
 * The oracle: a machine that keeps memory in words, packs values into it, carries words or bytes, swaps, and unpacks.
 * It imports nothing of the core, so that what it says is a second opinion.
 */
export interface MachineEnd {
  /** 8, 16 or 32 */
  wordBits: number;
  /** bits a number of the view counts: 1, 8, a word, or more */
  unit: number;
  /** for a view of single bits: the first is the least significant of its word */
  bitsFromBottom: boolean;
  highByteFirst: boolean;
  highRegisterFirst: boolean;
  pairsSwapped: boolean;
  boolPacking: 'bit' | 'byte' | 'word';
  boolsFromBottom: boolean;
  /** entries before the characters of a text: none, its length, or its capacity and length */
  textHeader: 0 | 1 | 2;
  /** a character takes 16 bits, not 8 */
  wideCharacters: boolean;
  swap: { bytes: boolean; words: 'no' | 'pairs' | 'fours' };
}

export interface MachineValue {
  /** bits of one element; 1 is a BOOL */
  bits: number;
  count: number;
  /** bytes from the start of the block */
  byte: number;
  /** the elements are the characters of a text */
  text?: boolean;
  /** of BOOLs: the first has this significance in its unit */
  bit?: number;
}

type Words = bigint[];

const ones = (bits: number) => (1n << BigInt(bits)) - 1n;

function byteShift(end: MachineEnd, address: number): { word: number; shift: bigint } {
  const size = end.wordBits / 8;
  const place = address % size;
  return { word: Math.floor(address / size), shift: BigInt(8 * (end.highByteFirst ? size - 1 - place : place)) };
}

function setByte(end: MachineEnd, words: Words, address: number, value: bigint): void {
  const { word, shift } = byteShift(end, address);
  words[word] = (words[word]! & ~(0xffn << shift)) | (value << shift);
}

const getByte = (end: MachineEnd, words: Words, address: number): bigint => {
  const { word, shift } = byteShift(end, address);
  return (words[word]! >> shift) & 0xffn;
};

/** Registers of a long value in the order in which they stand. */
function inOrder(end: MachineEnd, highFirst: bigint[]): bigint[] {
  const ordered = end.highRegisterFirst ? [...highFirst] : [...highFirst].reverse();
  if (!end.pairsSwapped || ordered.length < 4) return ordered;
  for (let i = 0; i < ordered.length; i += 2) [ordered[i], ordered[i + 1]] = [ordered[i + 1]!, ordered[i]!];
  return ordered;
}

/** Where bit i of a run of BOOLs lies: a byte address and a bit in that byte. */
function boolPlace(end: MachineEnd, value: MachineValue, i: number): { byte: number; bit: number } {
  const unit = Math.min(end.unit, end.wordBits);
  const inMemory = (significance: number) => {
    const byte = Math.floor(significance / 8);
    return { byte: unit > 8 && end.highByteFirst ? unit / 8 - 1 - byte : byte, bit: significance % 8 };
  };
  if (end.boolPacking !== 'bit') {
    const step = end.boolPacking === 'byte' ? 1 : end.wordBits / 8;
    const lowest = end.boolPacking === 'word' && end.highByteFirst ? step - 1 : 0;
    const first = value.bit === undefined ? { byte: lowest, bit: 0 } : inMemory(value.bit);
    return { byte: value.byte + first.byte + i * step, bit: first.bit };
  }
  const numbered = (n: number) => (end.boolsFromBottom ? n : unit - 1 - n);
  const index = (value.bit === undefined ? 0 : numbered(value.bit)) + i;
  const { byte, bit } = inMemory(numbered(index % unit));
  return { byte: value.byte + Math.floor(index / unit) * (unit / 8) + byte, bit };
}

/** Where the n-th bit of a view of single bits lies. */
function singleBit(end: MachineEnd, n: number): { word: number; shift: bigint } {
  const inWord = n % end.wordBits;
  return { word: Math.floor(n / end.wordBits), shift: BigInt(end.bitsFromBottom ? inWord : end.wordBits - 1 - inWord) };
}

function packSingle(end: MachineEnd, words: Words, value: MachineValue, i: number, element: bigint): void {
  for (let b = 0; b < value.bits; b++) {
    const { word, shift } = singleBit(end, value.byte * 8 + i * value.bits + b);
    words[word] = (words[word]! & ~(1n << shift)) | (((element >> BigInt(b)) & 1n) << shift);
  }
}

function unpackSingle(end: MachineEnd, words: Words, value: MachineValue, i: number): bigint {
  let element = 0n;
  for (let b = 0; b < value.bits; b++) {
    const { word, shift } = singleBit(end, value.byte * 8 + i * value.bits + b);
    element |= ((words[word]! >> shift) & 1n) << BigInt(b);
  }
  return element;
}

/** A text as this end keeps it: its header and its characters are elements of one size. */
const asElements = (end: MachineEnd, value: MachineValue): MachineValue => ({
  byte: value.byte,
  bits: end.wideCharacters ? 16 : 8,
  count: end.textHeader + value.count,
});

export function pack(end: MachineEnd, words: Words, value: MachineValue, elements: bigint[]): void {
  if (value.text) {
    const length = BigInt(value.count);
    const header = [[], [length], [length, length]][end.textHeader]!;
    pack(end, words, asElements(end, value), [...header, ...elements]);
    return;
  }
  elements.forEach((element, i) => {
    if (end.unit === 1) packSingle(end, words, value, i, element);
    else if (value.bits === 1) {
      const { byte, bit } = boolPlace(end, value, i);
      const old = getByte(end, words, byte);
      setByte(end, words, byte, (old & ~(1n << BigInt(bit))) | (element << BigInt(bit)));
    } else if (value.bits <= 8) setByte(end, words, value.byte + i, element);
    else packLong(end, words, value, i, element);
  });
}

function packLong(end: MachineEnd, words: Words, value: MachineValue, i: number, element: bigint): void {
  const bytes = value.bits / 8;
  const at = value.byte + i * bytes;
  if (value.bits >= end.wordBits) {
    const count = value.bits / end.wordBits;
    const registers = Array.from(
      { length: count },
      (_, r) => (element >> BigInt((count - 1 - r) * end.wordBits)) & ones(end.wordBits),
    );
    inOrder(end, registers).forEach((register, r) => {
      words[(at * 8) / end.wordBits + r] = register;
    });
    return;
  }
  for (let b = 0; b < bytes; b++) {
    const significance = end.highByteFirst ? bytes - 1 - b : b;
    setByte(end, words, at + b, (element >> BigInt(8 * significance)) & 0xffn);
  }
}

export function unpack(end: MachineEnd, words: Words, value: MachineValue): bigint[] {
  if (value.text) return unpack(end, words, asElements(end, value)).slice(end.textHeader);
  return Array.from({ length: value.count }, (_, i) => {
    if (end.unit === 1) return unpackSingle(end, words, value, i);
    if (value.bits === 1) {
      const { byte, bit } = boolPlace(end, value, i);
      return (getByte(end, words, byte) >> BigInt(bit)) & 1n;
    }
    if (value.bits <= 8) return getByte(end, words, value.byte + i);
    const bytes = value.bits / 8;
    const at = value.byte + i * bytes;
    if (value.bits >= end.wordBits) {
      const count = value.bits / end.wordBits;
      const stored = Array.from({ length: count }, (_, r) => words[(at * 8) / end.wordBits + r]!);
      const swappedBack = end.pairsSwapped && count >= 4 ? stored.map((_, r) => stored[r ^ 1]!) : stored;
      const highFirst = end.highRegisterFirst ? swappedBack : [...swappedBack].reverse();
      return highFirst.reduce((all, register) => (all << BigInt(end.wordBits)) | register, 0n);
    }
    let element = 0n;
    for (let b = 0; b < bytes; b++) {
      const significance = end.highByteFirst ? bytes - 1 - b : b;
      element |= getByte(end, words, at + b) << BigInt(8 * significance);
    }
    return element;
  });
}

/** The block as 16-bit numbers, as a protocol that carries words sees it. */
function asRegisters(end: MachineEnd, words: Words): bigint[] {
  if (end.wordBits === 16) return [...words];
  if (end.wordBits === 32) {
    return words.flatMap((w) => (end.highRegisterFirst ? [w >> 16n, w & 0xffffn] : [w & 0xffffn, w >> 16n]));
  }
  const out: bigint[] = [];
  for (let i = 0; i + 1 < words.length; i += 2) {
    const [first, second] = [words[i]!, words[i + 1]!];
    out.push(end.highByteFirst ? (first << 8n) | second : (second << 8n) | first);
  }
  return out;
}

function fromRegisters(end: MachineEnd, registers: bigint[]): Words {
  if (end.wordBits === 16) return [...registers];
  if (end.wordBits === 32) {
    const out: Words = [];
    for (let i = 0; i + 1 < registers.length; i += 2) {
      const [first, second] = [registers[i]!, registers[i + 1]!];
      out.push(end.highRegisterFirst ? (first << 16n) | second : (second << 16n) | first);
    }
    return out;
  }
  return registers.flatMap((r) => (end.highByteFirst ? [r >> 8n, r & 0xffn] : [r & 0xffn, r >> 8n]));
}

const asBytes = (end: MachineEnd, words: Words): bigint[] =>
  Array.from({ length: (words.length * end.wordBits) / 8 }, (_, b) => getByte(end, words, b));

function fromBytes(end: MachineEnd, bytes: bigint[]): Words {
  const words: Words = new Array<bigint>((bytes.length * 8) / end.wordBits).fill(0n);
  bytes.forEach((byte, address) => setByte(end, words, address, byte));
  return words;
}

/** Exchanges in whole units of so many elements; a remainder stays. */
function inUnits<T>(list: T[], size: number, change: (unit: T[]) => T[]): T[] {
  const whole = list.length - (list.length % size);
  const out: T[] = [];
  for (let i = 0; i < whole; i += size) out.push(...change(list.slice(i, i + size)));
  return [...out, ...list.slice(whole)];
}

const halves = (n: bigint) => ((n & 0xffn) << 8n) | (n >> 8n);

function swapRegisters(end: MachineEnd, registers: bigint[]): bigint[] {
  const { bytes, words } = end.swap;
  const size = words === 'fours' ? 4 : words === 'pairs' ? 2 : 1;
  return inUnits(registers, size, (unit) => {
    const turned = words === 'no' ? unit : [...unit].reverse();
    return bytes ? turned.map(halves) : turned;
  });
}

function swapBytes(end: MachineEnd, list: bigint[]): bigint[] {
  const { bytes, words } = end.swap;
  const size = words === 'fours' ? 8 : words === 'pairs' ? 4 : 2;
  if (words === 'no' && !bytes) return list;
  return inUnits(list, size, (unit) => {
    const pairs: bigint[][] = [];
    for (let i = 0; i < unit.length; i += 2) pairs.push(unit.slice(i, i + 2));
    const turned = words === 'no' ? pairs : [...pairs].reverse();
    return turned.flatMap((pair) => (bytes ? [...pair].reverse() : pair));
  });
}

/** The block bit by bit: single bits as the view has them, else unit by unit, the least significant first. */
function bitsOf(end: MachineEnd, words: Words): { word: number; shift: bigint }[] {
  const total = words.length * end.wordBits;
  if (end.unit === 1) return Array.from({ length: total }, (_, n) => singleBit(end, n));
  if (end.unit >= end.wordBits) {
    return Array.from({ length: total }, (_, n) => ({
      word: Math.floor(n / end.wordBits),
      shift: BigInt(n % end.wordBits),
    }));
  }
  return Array.from({ length: total }, (_, n) => {
    const { word, shift } = byteShift(end, Math.floor(n / 8));
    return { word, shift: shift + BigInt(n % 8) };
  });
}

/** A swap moves whole bytes, also of single bits. */
function swapBits(end: MachineEnd, bits: bigint[]): bigint[] {
  const bytes: bigint[] = [];
  for (let i = 0; i < bits.length; i += 8) {
    bytes.push(bits.slice(i, i + 8).reduce((byte, bit, b) => byte | (bit << BigInt(b)), 0n));
  }
  return swapBytes(end, bytes).flatMap((byte) => Array.from({ length: 8 }, (_, b) => (byte >> BigInt(b)) & 1n));
}

function carryBits(from: MachineEnd, to: MachineEnd, words: Words): Words {
  const sent = bitsOf(from, words).map(({ word, shift }) => (words[word]! >> shift) & 1n);
  const arrived = swapBits(to, swapBits(from, sent));
  const memory: Words = new Array<bigint>(arrived.length / to.wordBits).fill(0n);
  bitsOf(to, memory).forEach(({ word, shift }, n) => (memory[word]! |= arrived[n]! << shift));
  return memory;
}

/** Carries a block from one end's memory to the other's. */
export function transfer(from: MachineEnd, to: MachineEnd, words: Words, carries: 'words' | 'bytes' | 'bits'): Words {
  if (carries === 'bits') return carryBits(from, to, words);
  if (carries === 'words') return fromRegisters(to, swapRegisters(to, swapRegisters(from, asRegisters(from, words))));
  return fromBytes(to, swapBytes(to, swapBytes(from, asBytes(from, words))));
}

/** What a number is, by its type: signed, unsigned or real. */
export interface NumberKind {
  bits: number;
  family: 'bool' | 'signed' | 'unsigned' | 'real' | 'text';
}

/**
 * What arrives of a value that is carried by its type: the same number where the sink can hold it; the same bits among
 * whole numbers of one width; null where it is lost.
 */
export function convert(from: NumberKind, to: NumberKind, raw: bigint): bigint | null {
  if (from.family === 'bool' || from.family === 'text' || to.family === 'bool' || to.family === 'text') {
    return from.family === to.family ? raw : null;
  }
  if (from.family === to.family && from.bits === to.bits) return raw;
  if (from.family !== 'real' && to.family !== 'real' && from.bits === to.bits) return raw;
  const view = new DataView(new ArrayBuffer(8));
  const asReal = (bits: number, value: bigint) =>
    bits === 32
      ? (view.setUint32(0, Number(value)), view.getFloat32(0))
      : (view.setBigUint64(0, value), view.getFloat64(0));
  if (from.family === 'real') {
    const number = asReal(from.bits, raw);
    if (to.family !== 'real') return null;
    if (to.bits === 32) {
      view.setFloat32(0, number);
      return view.getFloat32(0) === number ? BigInt(view.getUint32(0)) : null;
    }
    view.setFloat64(0, number);
    return view.getBigUint64(0);
  }
  const whole = from.family === 'signed' ? BigInt.asIntN(from.bits, raw) : raw;
  if (to.family === 'real') {
    if (to.bits === 32) view.setFloat32(0, Number(whole));
    else view.setFloat64(0, Number(whole));
    const stored = to.bits === 32 ? view.getFloat32(0) : view.getFloat64(0);
    return BigInt(stored) === whole ? (to.bits === 32 ? BigInt(view.getUint32(0)) : view.getBigUint64(0)) : null;
  }
  const least = to.family === 'signed' ? -(1n << BigInt(to.bits - 1)) : 0n;
  const most = to.family === 'signed' ? (1n << BigInt(to.bits - 1)) - 1n : ones(to.bits);
  return whole >= least && whole <= most ? BigInt.asUintN(to.bits, whole) : null;
}
