import { join } from 'node:path';
import { startDatabase } from './database.mjs';
import { ROOT } from './paths.mjs';
import { run } from './run.mjs';
import { buildStale, installMissing } from './setup.mjs';

/** Prints the speed table; ends with 1 where an aim is missed. A name after it does one part: core, server, browser. */
await installMissing({ browser: true });
await buildStale();
await run('npx', ['tsc', '-p', 'bench', '--noEmit', 'false', '--outDir', 'bench/dist'], { quiet: true });
const database = await startDatabase('bench');
await database.dropDatabase('dialoga_bench');
await database.createDatabase('dialoga_bench');
const env = { ...process.env, DATABASE_URL: database.url('dialoga_bench') };
const args = ['--max-old-space-size=4096', join(ROOT, 'bench/dist/bench.js'), ...process.argv.slice(2)];
const met = await run(process.execPath, args, { env }).then(
  () => true,
  () => false,
);
await database.stop();
process.exit(met ? 0 : 1);
