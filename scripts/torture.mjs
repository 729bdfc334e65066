import { join } from 'node:path';
import { ROOT } from './paths.mjs';
import { run } from './run.mjs';
import { buildStale, installMissing } from './setup.mjs';

/** Kills servers and the database under writes; ends with 1 where something acknowledged was lost. */
await installMissing();
await buildStale();
await run(process.execPath, [join(ROOT, 'torture/torture.mjs'), ...process.argv.slice(2)]).catch(() => process.exit(1));
