import { readFileSync, writeFileSync } from 'node:fs';
import openapiTS, { astToString } from 'openapi-typescript';
import { startDatabase } from './database.mjs';
import { freePort, say } from './run.mjs';
import { buildStale, installMissing } from './setup.mjs';

/**
 * Writes apps/web/src/api/described.ts anew: what the page knows of the server's answers, from the server's own description
 * of them. `--check` writes nothing, and ends with 1 where the two are not the same.
 */
const FILE = new URL('../apps/web/src/api/described.ts', import.meta.url);
const HEAD =
  '/** Made from the description that the server gives of itself: `npm run api`. Nothing is to be written here. */\n';

await installMissing();
await buildStale();
const database = process.env.DATABASE_URL ? null : await startDatabase('test', { quiet: true });
try {
  await database?.createDatabase('dialoga_test');
  const text =
    HEAD + astToString(await openapiTS(await description(process.env.DATABASE_URL ?? database.url('dialoga_test'))));
  const same = text === readFileSync(FILE, 'utf8');
  if (process.argv.includes('--check')) {
    if (!same) say('apps/web/src/api/described.ts is not what the server describes; run `npm run api`.');
    process.exitCode = same ? 0 : 1;
  } else {
    writeFileSync(FILE, text);
    say('Wrote apps/web/src/api/described.ts.');
  }
} finally {
  await database?.stop();
}

/** As the running server gives it. */
async function description(databaseUrl) {
  process.env.DATABASE_URL = databaseUrl;
  process.env.LOG_LEVEL = 'silent';
  process.env.PORT = String(await freePort());
  const { configFrom } = await import('../apps/server/dist/base/config.js');
  const { createApp } = await import('../apps/server/dist/create-app.js');
  const { openLog } = await import('../apps/server/dist/base/log.js');
  const app = await createApp(configFrom(process.env), openLog('silent', null).log);
  await app.listen(process.env.PORT, '127.0.0.1');
  const described = await (await fetch(`http://127.0.0.1:${process.env.PORT}/api/docs-json`)).json();
  await app.close();
  return described;
}
