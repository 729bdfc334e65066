import fc from 'fast-check';
import { sheetRows } from '../sheet/sheet.js';
import { SHEET_COLUMNS } from '../sheet/sheet-fields.js';
import { childrenOf, inOrder } from '../model/order.js';
import { Project } from '../model/project.js';

/** How many lanes an oracle tries: its own bound, or more where a long run is asked for. */
export const oracleRuns = (usual: number): number => Math.ceil(usual * Number(process.env.ORACLE_TIMES ?? 1));

/** A new one each run, printed, so that a run can be made again. */
const SEED = Number(process.env.ORACLE_SEED ?? Date.now() % 2_000_000_000);

/** The seed of this run, printed beside what it is for. */
export function printedSeed(what: string): number {
  process.stdout.write(`${what}: seed ${SEED}\n`);
  return SEED;
}

/**
 * Holds a property over random cases with the printed seed. A case that fails is shrunk by fast-check, and printed with
 * its project as text that can be typed in.
 */
export function holds<T>(
  name: string,
  cases: fc.Arbitrary<T>,
  usual: number,
  check: (one: T) => void,
  projectOf: (one: T) => Project,
): void {
  const runs = oracleRuns(usual);
  process.stdout.write(`${name}: ${runs} runs, seed ${SEED}\n`);
  const result = fc.check(fc.property(cases, check), { numRuns: runs, seed: SEED });
  if (!result.failed) return;
  const [one] = result.counterexample ?? [];
  const typed = one === undefined ? '' : asTyped(projectOf(one));
  throw new Error(
    `${name}, seed ${SEED}, path ${result.counterexamplePath}\n${String(result.errorInstance)}\n${one instanceof Project ? '' : JSON.stringify(one)}\n${typed}`,
  );
}

/** The stations' memories and the lanes of a project, as a person would type them. */
export function asTyped(project: Project): string {
  const lines: string[] = [];
  for (const area of inOrder(project, 'area')) {
    const views = Object.values(area.views).map((v) => `${v.prefix ?? v.notation}/${v.unit}/${v.bitNumbering ?? ''}`);
    const station = project.get('station', area.station)?.name;
    lines.push(
      `${station}: ${area.name}, ${area.kind}, ${area.wordBits} bits a word, ${JSON.stringify(area.layout)}, views ${views.join(' ')}`,
    );
  }
  for (const exchange of inOrder(project, 'exchange')) {
    const ends = childrenOf(project, 'end', exchange.id);
    lines.push(`${exchange.name}: ${exchange.protocol}, ${JSON.stringify(exchange.facts ?? {})}`);
    const [left, right] = ends;
    if (!left || !right) continue;
    const lanes = new Set(childrenOf(project, 'lane', exchange.id).map((lane) => lane.id));
    for (const row of sheetRows(project, exchange, left, right, lanes)) {
      for (const [side, cells] of [['left', row.left] as const, ['right', row.right] as const]) {
        if (!cells) continue;
        const second = [cells.told?.text, cells.header?.text, cells.swap?.text].filter(Boolean).join(' · ');
        lines.push(`${row.kind} ${side}\t${SHEET_COLUMNS.map((c) => cells[c].text).join('\t')}\t${second}`);
      }
    }
  }
  return lines.join('\n');
}
