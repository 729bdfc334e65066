import { fork } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { startDatabase } from './database.mjs';
import { DATA, ROOT } from './paths.mjs';
import { end, freePort, say } from './run.mjs';
import { buildStale, installMissing } from './setup.mjs';

const WANTED_PORT = Number(process.env.PORT ?? 4310);
const STATE = join(DATA, 'running.json');

function alreadyRunning() {
  if (!existsSync(STATE)) return null;
  try {
    const state = JSON.parse(readFileSync(STATE, 'utf8'));
    const command = readFileSync(`/proc/${state.pid}/cmdline`, 'utf8');
    return command.includes('start.mjs') ? state : null;
  } catch {
    return null;
  }
}

const MOST_RESTARTS = 5;

let database = null;
let server = null;
let ending = false;

async function stop(code) {
  if (ending) return;
  ending = true;
  say('\nStopping …');
  await end(server);
  await database?.stop();
  rmSync(STATE, { force: true });
  process.exit(code);
}

/** The database, and the same again on its port where something ended it: the server finds it there by itself. */
async function keepDatabase(restarts = 0) {
  database = await startDatabase('main', { port: database?.port });
  database.onEnd(() => {
    if (ending) return;
    if (restarts >= MOST_RESTARTS) {
      say('The database ended again; giving up.');
      void stop(1);
      return;
    }
    say('The database ended; starting it again …');
    keepDatabase(restarts + 1).then(
      () => say('The database answers again.'),
      (error) => {
        console.error(`\n${error instanceof Error ? error.message : error}`);
        void stop(1);
      },
    );
  });
}

async function main() {
  const running = alreadyRunning();
  if (running) {
    say(`Dialoga is running already${running.address ? `: ${running.address}` : ', and still starting'}`);
    return;
  }
  mkdirSync(DATA, { recursive: true });
  writeFileSync(STATE, JSON.stringify({ pid: process.pid }));
  process.on('SIGINT', () => void stop(0));
  process.on('SIGTERM', () => void stop(0));

  await installMissing();
  let databaseUrl = process.env.DATABASE_URL;
  if (!databaseUrl) {
    await keepDatabase();
    await database.createDatabase('dialoga');
    databaseUrl = database.url('dialoga');
  }
  await buildStale();
  say('Starting the server …');
  const port = await freePort(WANTED_PORT);
  const env = {
    ...process.env,
    DATABASE_URL: databaseUrl,
    PORT: String(port),
    LOG_LEVEL: process.env.LOG_LEVEL ?? 'warn',
  };
  server = fork(join(ROOT, 'apps/server/dist/main.js'), { env, detached: true });
  await new Promise((resolve, reject) => {
    server.once('message', resolve);
    server.once('exit', (code) => reject(new Error(`the server ended with ${code} before it answered`)));
  });
  server.once('exit', (code) => {
    if (!ending) say(`The server ended with ${code}.`);
    void stop(1);
  });
  const address = `http://${process.env.HOST ?? '127.0.0.1'}:${port}/`;
  writeFileSync(STATE, JSON.stringify({ pid: process.pid, address }));
  say(`\nDialoga is at ${address}\nCtrl+C ends it.`);
}

main().catch((error) => {
  console.error(`\n${error instanceof Error ? error.message : error}`);
  void stop(1);
});
