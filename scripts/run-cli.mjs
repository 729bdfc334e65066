import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { ROOT } from './paths.mjs';
import { run } from './run.mjs';
import { installMissing } from './setup.mjs';

/** Builds the command line where it is stale, then hands over to one of its programs, with what was typed behind it. */
export async function runCli(program) {
  await installMissing({ database: false });
  await run('npx', ['tsc', '-b', 'apps/cli'], { quiet: true });
  const cli = join(ROOT, 'apps/cli/dist', program);
  const { status } = spawnSync(process.execPath, [cli, ...process.argv.slice(2)], {
    stdio: 'inherit',
    cwd: process.env.INIT_CWD ?? process.cwd(),
  });
  process.exit(status ?? 2);
}
