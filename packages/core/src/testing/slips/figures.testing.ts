import { CheckEngine } from '../../check/engine.js';
import { textOf } from '../../check/sentence.js';
import { plain } from '../../finding/sentence.js';
import { Dice } from '../plant/dice.testing.js';
import { PARTS, rightPlant, type PartName } from '../plant/right-plant.testing.js';
import { badWordsOf } from '../reads-well.testing.js';
import { SLIPS } from './catalogue.testing.js';
import { outcomeOf } from './judge.testing.js';
import type { Slip } from './slip.testing.js';

/** What became of all slips of one kind. */
export interface Figures {
  made: number;
  /** a finding names the very cell */
  found: number;
  /** other findings that came with it */
  beside: number;
  /** after its first fix the project is as before the slip */
  mended: number;
  /** sentences that do not read well */
  words: string[];
  /** one line for each that was not found, or brought more than one other finding */
  notes: string[];
}

/** Ids of a plant are no words of its texts. */
const IDS =
  /\b(?:station|net|port|area|table|image|exchange|end|lane|claim|tag|rack|module|landing|route|helper|copy|io|mirrored)-\d+\b/;

/** Parts that are laid out together: each in one plant, in an order of its own. */
const TOGETHER = 4;

/** Slips of each kind, one or two in each plant in which there is a cell for it. */
export function figuresOf(seed: number, plants: number): Map<string, Figures> {
  const figures = new Map(
    Object.keys(SLIPS).map((kind) => [kind, { made: 0, found: 0, beside: 0, mended: 0, words: [], notes: [] }]),
  );
  for (let i = 0; i < plants; i++) {
    const dice = new Dice(seed + i);
    const parts = shuffled(Object.keys(PARTS) as PartName[], dice);
    for (let first = 0; first < parts.length; first += TOGETHER) {
      tryAll(rightPlant(seed + i + first, parts.slice(first, first + TOGETHER)), dice, figures, seed + i);
    }
  }
  return figures;
}

function tryAll(
  project: ReturnType<typeof rightPlant>,
  dice: Dice,
  figures: ReadonlyMap<string, Figures>,
  seed: number,
): void {
  const before = new CheckEngine(project);
  for (const [kind, cells] of Object.entries(SLIPS)) {
    const slips = cells(project, dice);
    if (slips.length === 0) continue;
    const slip = dice.pick(slips);
    const { named, beside, fix } = outcomeOf(project, before, slip);
    const row = figures.get(kind)!;
    row.made += 1;
    row.found += named.length > 0 ? 1 : 0;
    row.beside += beside.length;
    row.mended += fix === 'as before' ? 1 : 0;
    row.words.push(...[...named, ...beside].flatMap((finding) => badWordsOf(finding, IDS)));
    if (named.length > 0 && beside.length < 2) continue;
    const found = [...named.slice(0, 1), ...beside].map(
      (f) => `${f.code}: ${textOf(f).headline} (${textOf(f).says.map(plain).join(' / ')})`,
    );
    row.notes.push(`${kind}, seed ${seed}, ${words(slip)}: ${found.join('; ') || 'nothing was found'}`);
  }
}

const words = ({ kind, path, changes: [change] }: Slip): string =>
  `${kind} ${path.join('.')} ${JSON.stringify(change?.before)} → ${JSON.stringify(change?.after)}`;

function shuffled<T>(list: readonly T[], dice: Dice): T[] {
  const rest = [...list];
  return list.map(() => rest.splice(dice.below(rest.length), 1)[0]!);
}

/** All kinds together. */
export function sumOf(figures: ReadonlyMap<string, Figures>): Omit<Figures, 'notes' | 'words'> {
  const sum = { made: 0, found: 0, beside: 0, mended: 0 };
  for (const row of figures.values()) {
    for (const key of Object.keys(sum) as (keyof typeof sum)[]) sum[key] += row[key];
  }
  return sum;
}

/** A row for each kind, as it stands in the documents. */
export function tableOf(figures: ReadonlyMap<string, Figures>): string {
  const row = (name: string, { made, found, beside, mended }: Omit<Figures, 'notes' | 'words'>) =>
    `| ${name} | ${made} | ${found} | ${made - found} | ${beside} | ${mended} |`;
  return [
    '| slip | made | found | missed | found beside it | mended by the first fix |',
    '| --- | --- | --- | --- | --- | --- |',
    ...[...figures].map(([kind, figure]) => row(kind, figure)),
    row('**all**', sumOf(figures)),
  ].join('\n');
}
