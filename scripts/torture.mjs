import { join } from 'node:path';
import { ROOT } from './paths.mjs';
import { run, say } from './run.mjs';
import { buildStale, installMissing } from './setup.mjs';

/**
 * What is too long for every test: kills, hostile requests, faults, random lanes, windows over
 * a bad network, right plants and slips in them. Ends with 1 where something acknowledged
 * was lost, something hostile had its way, or a verdict is not true. `--only PART` does one part, `--times N` so much of
 * it, `--seed N` makes a run the same again.
 */
const args = process.argv.slice(2);
const option = (name, usual) => (args.includes(name) ? args[args.indexOf(name) + 1] : usual);
const only = option('--only', null);
await installMissing();
await buildStale();
let failed = false;
for (const part of ['kills', 'fuzz', 'faults']) {
  if (only !== null && only !== part) continue;
  const own = ['--times', '--seed'].flatMap((name) => (only && args.includes(name) ? [name, option(name)] : []));
  say('');
  await run(process.execPath, [join(ROOT, 'torture/torture.mjs'), part, ...own]).catch(() => (failed = true));
}
if (only === null || only === 'lanes') {
  const seed = option('--seed', String(Date.now() % 2_000_000_000));
  const env = { ...process.env, ORACLE_TIMES: only ? option('--times', '19') : '19', ORACLE_SEED: seed };
  say(
    `\nRandom lanes against the byte and bit machines, random edits against full checks, seed ${seed}; about half an hour`,
  );
  const tests = [
    'jest',
    '--selectProjects',
    'core',
    '--testPathPatterns',
    'oracle[a-z-]*\\.test',
    'check/fixes',
    'check/engine',
  ];
  await run('npx', tests, { env }).catch(() => (failed = true));
}
if (only === null || only === 'windows') {
  const env = { ...process.env, SYNC_TIMES: only ? option('--times', '50') : '50' };
  say('\nWindows and a server over a network that loses, doubles and reorders; about five minutes');
  await run('npx', ['jest', '--selectProjects', 'web', '--testTimeout', '3600000', '--testPathPatterns', 'sync/sync'], {
    env,
  }).catch(() => (failed = true));
}
if (only === null || only === 'slips') {
  const seed = option('--seed', String(Date.now() % 2_000_000_000));
  const times = only ? option('--times', '20') : '20';
  const env = { ...process.env, ORACLE_TIMES: times, ORACLE_SEED: seed, SLIPS_TABLE: 'yes' };
  say(`\nRight plants, and slips of people in them, seed ${seed}; about ten minutes`);
  await run('npx', ['jest', '--selectProjects', 'core', '--testPathPatterns', 'right-plant|slips'], { env }).catch(
    () => (failed = true),
  );
}
process.exit(failed ? 1 : 0);
