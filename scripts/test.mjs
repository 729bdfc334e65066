import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { startDatabase } from './database.mjs';
import { DATA } from './paths.mjs';
import { run, say } from './run.mjs';
import { buildStale, installMissing } from './setup.mjs';

/** `--only NAME` runs one part: lint, storeys, format, types, api, unit, kills, fuzz, browser. `--screenshots` makes docs/screenshots anew. */
const only = process.argv.includes('--only') ? process.argv[process.argv.indexOf('--only') + 1] : null;
const screenshots = process.argv.includes('--screenshots');
const results = join(DATA, 'results');
const total = { passed: 0, failed: 0 };

async function single(name, command, args, env = {}) {
  if (screenshots || (only && only !== name)) return;
  say(`\n— ${name}`);
  const start = performance.now();
  try {
    await run(command, args, { env: { ...process.env, ...env } });
    total.passed += 1;
  } catch (error) {
    say(String(error.message));
    total.failed += 1;
  }
  took(name, start);
}

const took = (name, start) => say(`${name}: ${((performance.now() - start) / 1000).toFixed(0)} s`);

async function counted(name, command, args, env, count) {
  if (only && only !== name) return;
  say(`\n— ${name}`);
  const file = join(results, `${name}.json`);
  rmSync(file, { force: true });
  let broke = false;
  const start = performance.now();
  await run(command, args, { env: { ...process.env, ...env, RESULTS: file } }).catch((error) => {
    say(String(error.message));
    broke = true;
  });
  took(name, start);
  const { passed, failed } = existsSync(file)
    ? count(JSON.parse(readFileSync(file, 'utf8')))
    : { passed: 0, failed: 0 };
  total.passed += passed;
  total.failed += failed > 0 || !broke ? failed : 1;
  if (passed + failed === 0 && !broke) total.failed += 1;
}

let database = null;
let stopped = false;
async function stop() {
  if (stopped) return;
  stopped = true;
  await database?.stop();
}
/** Each test file makes and drops databases named dialoga_test_… on this server. */
async function ownDatabase() {
  database = await startDatabase('test');
  await database.createDatabase('dialoga_test');
  return database.url('dialoga_test');
}
process.on('SIGINT', () => void stop().then(() => process.exit(130)));
process.on('SIGTERM', () => void stop().then(() => process.exit(143)));

try {
  mkdirSync(results, { recursive: true });
  await installMissing({ browser: true, strangers: true });
  const env = { DATABASE_URL: process.env.DATABASE_URL ?? (await ownDatabase()) };
  await buildStale();
  // The longest of these beside the others.
  await Promise.all([
    single('lint', 'npx', ['eslint', '.', '--max-warnings', '0']),
    (async () => {
      await single('storeys', 'npm', ['run', 'storeys', '--silent']);
      await single('format', 'npx', ['prettier', '--check', '.', '--log-level', 'warn']);
      await single('types', 'npm', ['run', '-s', 'types']);
    })(),
  ]);
  await single('api', process.execPath, ['scripts/api-types.mjs', '--check'], env);
  if (!screenshots) {
    const jest = ['jest', '--json', '--outputFile', join(results, 'unit.json'), '--silent=false'];
    await counted('unit', 'npx', jest, env, (r) => ({
      passed: r.numPassedTests,
      failed: r.numFailedTests + r.numRuntimeErrorTestSuites,
    }));
  }
  await single('kills', process.execPath, ['torture/torture.mjs', 'kills', '--times', '3']);
  await single('fuzz', process.execPath, ['torture/torture.mjs', 'fuzz', '--times', '1500']);
  const browser = [
    'playwright',
    'test',
    '-c',
    'e2e',
    ...(screenshots ? ['--project', 'screenshots'] : ['--project', 'tests']),
  ];
  await counted('browser', 'npx', browser, env, ({ stats }) => ({
    passed: stats.expected + stats.flaky,
    failed: stats.unexpected,
  }));
} catch (error) {
  say(String(error?.stack ?? error));
  total.failed += 1;
} finally {
  await stop();
}
if (total.passed + total.failed === 0) total.failed = 1;
console.log(`\n${total.passed} passed, ${total.failed} failed`);
process.exit(total.failed > 0 ? 1 : 0);
