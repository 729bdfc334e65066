import { readProject, textOfProjectFile } from '@dialoga/core/entry';
import { problemSentence, type Problem } from '@dialoga/core/model';
import { Plant } from '@dialoga/core/rehearse';
import { StandIns, type Standing } from '@dialoga/standins';
import { readFileSync } from 'node:fs';

/** ms between two steps of the plant while it runs in real time */
const STEP_MS = 10;

/** Lets the plant of a project file run in real time, with its stand-ins on loopback, until it is interrupted. */
export async function serveFile(file: string): Promise<number> {
  const problems = (list: readonly Problem[]) => {
    console.error([`${file}: cannot be rehearsed`, ...list.map((p) => `  ${problemSentence(p)}`)].join('\n'));
    return 2;
  };
  let bytes: Uint8Array;
  try {
    bytes = readFileSync(file);
  } catch (error) {
    const found = error instanceof Error ? error.message : String(error);
    return problems([{ where: file, found, expected: 'a file that can be read' }]);
  }
  const text = textOfProjectFile(bytes);
  if (!text.ok) return problems([text.problem]);
  const read = readProject(text.text);
  if (!read.ok) return problems(read.problems);
  const plant = new Plant(read.project);
  const interrupted = new Promise<void>((resolve) => {
    process.once('SIGINT', () => resolve());
    process.once('SIGTERM', () => resolve());
  });
  const standIns = await StandIns.of(plant);
  process.stdout.write(standingsAsText(read.project.info.name, standIns.standings));
  let then = performance.now();
  const timer = setInterval(() => {
    const now = performance.now();
    plant.advance(Math.round((now - then) * 1000));
    then = now;
  }, STEP_MS);
  await interrupted;
  clearInterval(timer);
  await standIns.close();
  return 0;
}

/** Who stands where, in columns. */
function standingsAsText(name: string, standings: readonly Standing[]): string {
  if (standings.length === 0) return `${name}: nobody answers Modbus or OPC UA, so there is nothing to talk to\n`;
  const rows = standings.map(({ name: station, planned, protocol, typed }) => [station, planned, protocol, typed]);
  const widths = [0, 1, 2].map((i) => Math.max(...rows.map((row) => row[i]!.length)));
  const lines = rows.map((row) => `  ${row.map((cell, i) => cell.padEnd(widths[i] ?? 0)).join('   ')}`);
  return [
    `${name}, on stand-ins; nothing here touches a device`,
    ...lines.map((line) => line.trimEnd()),
    'Ctrl+C ends it.',
    '',
  ].join('\n');
}
