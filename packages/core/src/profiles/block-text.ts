import { formatBits } from '../place/length.js';
import type { ReservedBlock } from '../model/profile.js';
import { AREA_KINDS, type AreaKind } from '../model/words.js';

export const BLOCK_FORM = '16 bytes of memory, from byte 400 to 4080, every 16 bytes';

/** `16 bytes of memory, from byte 400 to 4080, every 16 bytes`: what a block takes, and where it may start. */
export function blockText(
  block: Pick<ReservedBlock, 'length' | 'areaKind' | 'firstStart' | 'lastStart' | 'startStep'>,
): string {
  const first = typeof block.firstStart === 'number' ? `, from byte ${block.firstStart / 8}` : '';
  const last = first !== '' && typeof block.lastStart === 'number' ? ` to ${block.lastStart / 8}` : '';
  const step = typeof block.startStep === 'number' ? `, every ${formatBits(block.startStep, 8)}` : '';
  return `${formatBits(block.length, 8)} of ${block.areaKind}${first}${last}${step}`;
}

interface BlockFacts {
  length: number;
  areaKind: AreaKind;
  firstStart: number | null;
  lastStart: number | null;
  startStep: number | null;
}

/** The inverse; null where it is not that. */
export function readBlock(text: string): BlockFacts | null {
  const form =
    /^(\d{1,6}) bytes? of ([a-z ]+?)(?:, from byte (\d{1,6})(?: to (\d{1,6}))?)?(?:, every (\d{1,6}) bytes?)?$/i;
  const match = form.exec(text.trim());
  const areaKind = AREA_KINDS.find((kind) => kind === match?.[2]?.toLowerCase());
  const [length, step] = [Number(match?.[1]), match?.[5] === undefined ? null : Number(match[5])];
  if (!match || !areaKind || length === 0 || step === 0) return null;
  const firstStart = match[3] === undefined ? null : Number(match[3]) * 8;
  const lastStart = match[4] === undefined ? null : Number(match[4]) * 8;
  if (lastStart !== null && lastStart < firstStart!) return null;
  return { length: length * 8, areaKind, firstStart, lastStart, startStep: step === null ? null : step * 8 };
}
