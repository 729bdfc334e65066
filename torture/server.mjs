import { fork } from 'node:child_process';
import { once } from 'node:events';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from '../scripts/paths.mjs';

/** A server process over a database, listening; `env` in addition. */
export async function startServer(databaseUrl, port, env = {}) {
  const all = { ...process.env, DATABASE_URL: databaseUrl, PORT: String(port), LOG_LEVEL: 'silent', ...env };
  const child = fork(join(ROOT, 'apps/server/dist/main.js'), {
    env: all,
    stdio: ['ignore', 'ignore', 'ignore', 'ipc'],
  });
  const [first] = await Promise.race([once(child, 'message'), once(child, 'exit').then(([code]) => [{ code }])]);
  if (!first?.listening) throw new Error(`a server ended with ${first?.code} before it answered`);
  return { port, child };
}

/** How long the thread that answers was busy at most since the last time this was asked, ms. */
export async function busiest({ child }) {
  child.send('busy');
  const [told] = await once(child, 'message');
  return told;
}

/** Memory of a process now, MB. */
export function memoryOf({ child }) {
  const status = readFileSync(`/proc/${child.pid}/status`, 'utf8');
  return Number(/VmRSS:\s+(\d+)/.exec(status)[1]) / 1024;
}
