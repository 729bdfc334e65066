import { fork } from 'node:child_process';
import { once } from 'node:events';
import { existsSync, mkdirSync, readFileSync, rmSync, statfsSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { startDatabase } from './database.mjs';
import { DATA, ROOT } from './paths.mjs';
import { growingPauses, pause } from './pauses.mjs';
import { end, freePort, say } from './run.mjs';
import { buildStale, installMissing } from './setup.mjs';

const STATE = join(DATA, 'running.json');
/** The server ends with this where it was told something that cannot be meant. */
const WRONG_CONFIG = 2;

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

function wantedPort() {
  const text = process.env.PORT || '4310';
  const port = Number(text);
  if (/^\d+$/.test(text) && port >= 1 && port <= 65_535) return port;
  throw new Error(`PORT is “${text}”; it is a whole number from 1 to 65535`);
}

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

function hasNoRoom(folder) {
  const { bavail, bsize } = statfsSync(folder);
  return bavail * bsize < 32 * 1024 * 1024;
}

const inWords = (ms) => (ms < 1000 ? '' : ` in ${Math.round(ms / 1000)} s`);

/**
 * Starts something, and again whenever it ends, with pauses that grow; it is never given up but where starting it again
 * cannot help. `begin` gives a promise of its end once it answers.
 */
async function keep(what, begin) {
  const nextPause = growingPauses();
  const again = async () => {
    while (!ending) {
      const ms = nextPause();
      if (hasNoRoom(DATA)) say(`The disk that holds ${DATA} is full: make room; what is stored is safe.`);
      say(`The ${what} ended; starting it again${inWords(ms)} …`);
      await pause(ms);
      if (ending) return;
      try {
        const { ended } = await begin();
        void ended.then(again);
        say(`The ${what} answers again.`);
        return;
      } catch (error) {
        if (error.code === WRONG_CONFIG) return stop(1);
        console.error(String(error instanceof Error ? error.message : error));
      }
    }
  };
  const { ended } = await begin();
  void ended.then(again);
}

/** On the same port each time: the server finds it there by itself. */
async function beginDatabase() {
  database = await startDatabase('main', { port: database?.port });
  return { ended: new Promise((resolve) => database.onEnd(resolve)) };
}

/** What a window has waiting it sends when the server is there again. */
async function beginServer(env) {
  server = fork(join(ROOT, 'apps/server/dist/main.js'), { env, detached: true });
  const ended = once(server, 'exit');
  const [first] = await Promise.race([once(server, 'message'), ended]);
  if (!first?.listening) throw Object.assign(new Error('The server ended before it answered.'), { code: first });
  return { ended };
}

async function main() {
  const running = alreadyRunning();
  if (running) {
    say(`Dialoga is running already${running.address ? `: ${running.address}` : ', and still starting'}`);
    return;
  }
  const wanted = wantedPort();
  mkdirSync(DATA, { recursive: true });
  writeFileSync(STATE, JSON.stringify({ pid: process.pid }));
  process.on('SIGINT', () => void stop(0));
  process.on('SIGTERM', () => void stop(0));

  await installMissing();
  let databaseUrl = process.env.DATABASE_URL;
  if (!databaseUrl) {
    await keep('database', beginDatabase);
    await database.createDatabase('dialoga');
    databaseUrl = database.url('dialoga');
  }
  await buildStale();
  say('Starting the server …');
  const port = await freePort(wanted);
  const env = {
    ...process.env,
    DATABASE_URL: databaseUrl,
    ...(database ? { DATABASE_FOLDER: database.folder } : {}),
    PORT: String(port),
    LOG_LEVEL: process.env.LOG_LEVEL ?? 'warn',
    LOG_FOLDER: process.env.LOG_FOLDER ?? join(DATA, 'log'),
  };
  await keep('server', () => beginServer(env));
  const address = `http://${process.env.HOST ?? '127.0.0.1'}:${port}/`;
  writeFileSync(STATE, JSON.stringify({ pid: process.pid, address }));
  say(`\nDialoga is at ${address}\nCtrl+C ends it.`);
}

main().catch((error) => {
  console.error(`\n${error instanceof Error ? error.message : error}`);
  void stop(1);
});
