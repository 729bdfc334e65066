import { spawn, spawnSync } from 'node:child_process';
import { chownSync, existsSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { startDatabase } from '../scripts/database.mjs';
import { ROOT } from '../scripts/paths.mjs';
import { pause } from '../scripts/pauses.mjs';
import { end, freePort } from '../scripts/run.mjs';
import { ask as askServer } from './ask.mjs';
import { numbers } from './numbers.mjs';
import { startServer } from './server.mjs';

/** A disk that fills, a clock that jumps both ways, and the launcher whose processes are killed. Throws where something is lost. */
export async function faults({ seed, say }) {
  const random = numbers(seed);
  await fullDisk(say);
  await jumpingClock(say);
  await killedLauncher(random, say);
}

const asking = (port) => (method, path, body) => askServer(port, method, path, body);

/** A change set with stations that have long comments: so many bytes that a small disk is soon full. */
const heavy = (id, count, like) => ({
  id,
  label: 'heavy',
  changes: Array.from({ length: count }, (_, i) => ({
    ...{ kind: 'station', id: `${id}l${i}`, path: [] },
    after: { ...like, id: `${id}l${i}`, name: `${id} ${i}`, comment: `${id} `.repeat(900).slice(0, 4000) },
  })),
});
const aStation = async (ask, id) => (await ask('GET', `/projects/${id}`)).body.stations[0];

const wanted = (what, is, right) => {
  if (JSON.stringify(is) !== JSON.stringify(right))
    throw new Error(`${what}: ${JSON.stringify(is)}; right is ${JSON.stringify(right)}`);
};

/** The database on a disk of its own that fills up, and has room again. */
async function fullDisk(say) {
  if (process.getuid?.() !== 0) return say('A full disk was left out: only root can make a small one.');
  const disk = mkdtempSync(join(tmpdir(), 'dialoga-disk-'));
  const mounted = spawnSync('mount', ['-t', 'tmpfs', '-o', 'size=420m', 'tmpfs', disk]);
  if (mounted.status !== 0) return say('A full disk was left out: no small one can be made here.');
  let database = null;
  let server = null;
  try {
    const ballast = join(disk, 'ballast');
    writeFileSync(ballast, Buffer.alloc(60 * 1024 * 1024));
    const { uid, gid } = idsOfDatabase();
    chownSync(disk, uid, gid);
    database = await startDatabase('disk', { quiet: true, within: disk });
    await database.createDatabase('dialoga_disk');
    server = await startServer(database.url('dialoga_disk'), await freePort(), { DATABASE_FOLDER: database.folder });
    const ask = asking(server.port);
    const { id } = (await ask('POST', '/projects/demo', { demo: 'kestrel-quay' })).body;
    const other = (await ask('POST', '/projects/demo', { demo: 'kestrel-quay' })).body.id;
    const before = (await ask('GET', `/projects/${other}/file`)).text;
    const like = await aStation(ask, id);
    const acknowledged = [];
    let answer = null;
    for (let n = 0; n < 400; n++) {
      answer = await ask('POST', `/projects/${id}/changes`, heavy(`h${n}`, 400, like));
      if (answer.status !== 201) break;
      acknowledged.push(`h${n}`);
    }
    wanted(`the answer when the disk is full (${answer.body.message})`, answer.status, 507);
    say(`the disk was full after ${acknowledged.length} change sets: “${answer.body.message}”`);
    wanted('health', (await ask('GET', '/health')).status, 507);
    wanted('a project meanwhile', (await ask('GET', `/projects/${other}/file`)).text === before, true);
    rmSync(ballast);
    let after = null;
    for (let tries = 0; tries < 40; tries++) {
      after = await ask('POST', `/projects/${id}/changes`, heavy('again', 4, like));
      if (after.status === 201) break;
      await pause(500);
    }
    wanted('the answer when there is room again', after.status, 201);
    wanted('health', (await ask('GET', '/health')).status, 200);
    const now = (await ask('GET', `/projects/${id}`)).text;
    for (const set of acknowledged) wanted(`what ${set} stored`, now.includes(`"${set}l399"`), true);
    wanted('what was refused', now.includes(`"h${acknowledged.length}l0"`), false);
    wanted('the other project', (await ask('GET', `/projects/${other}/file`)).text === before, true);
    say('with room again it stores; everything acknowledged is there, nothing else');
  } finally {
    await end(server?.child);
    await database?.stop();
    spawnSync('umount', [disk]);
    rmSync(disk, { recursive: true, force: true });
  }
}

function idsOfDatabase() {
  const id = (flag) => Number(spawnSync('id', [flag, 'mysql']).stdout.toString().trim());
  return { uid: id('-u'), gid: id('-g') };
}

const FAKETIME = [
  '/usr/lib/x86_64-linux-gnu/faketime/libfaketime.so.1',
  '/usr/lib/aarch64-linux-gnu/faketime/libfaketime.so.1',
];

/** Server and database whose clock jumps by a day and more, both ways, while jobs run and edits are stored. */
async function jumpingClock(say) {
  const library = FAKETIME.find((file) => existsSync(file));
  if (!library) return say('A clock that jumps was left out: Debian’s package libfaketime is not there.');
  const folder = mkdtempSync(join(tmpdir(), 'dialoga-clock-'));
  const clock = join(folder, 'clock');
  const set = (offset) => writeFileSync(clock, `${offset}\n`, { mode: 0o644 });
  set('+0');
  spawnSync('chmod', ['755', folder]);
  const env = {
    LD_PRELOAD: library,
    FAKETIME_TIMESTAMP_FILE: clock,
    FAKETIME_NO_CACHE: '1',
    DONT_FAKE_MONOTONIC: '1',
    FAKETIME_DONT_FAKE_MONOTONIC: '1',
  };
  const through = ['env', ...Object.entries(env).map(([name, value]) => `${name}=${value}`)];
  const database = await startDatabase('torture', { quiet: true, through });
  let server = null;
  try {
    await database.dropDatabase('dialoga_clock');
    await database.createDatabase('dialoga_clock');
    server = await startServer(database.url('dialoga_clock'), await freePort(), env);
    const ask = asking(server.port);
    const { id } = (await ask('POST', '/projects/demo', { demo: 'kestrel-quay' })).body;
    const before = (await ask('GET', `/projects/${id}/file`)).text;
    const like = await aStation(ask, id);
    let revision = 0;
    for (const offset of ['+2d', '-3d', '+400d', '-400d', '+0']) {
      const { job } = (await ask('POST', `/projects/${id}/copies`, { name: `Copy ${offset}` })).body;
      set(offset);
      const { job: second } = (await ask('POST', `/projects/${id}/copies`, { name: `Another ${offset}` })).body;
      const stored = await ask('POST', `/projects/${id}/changes`, heavy(`c${revision}`, 2, like));
      wanted(`an edit after the clock jumped ${offset}`, [stored.status, stored.body.revision], [201, ++revision]);
      for (const one of [job, second]) {
        let state = null;
        for (let tries = 0; tries < 600 && state?.state !== 'done'; tries++) {
          state = (await ask('GET', `/jobs/${one}`)).body;
          if (!['running', 'done'].includes(state?.state))
            throw new Error(`a job after ${offset}: ${JSON.stringify(state)}`);
          await pause(50);
        }
        wanted(`a job after ${offset}`, state.state, 'done');
      }
      wanted(`health after ${offset}`, (await ask('GET', '/health')).status, 200);
    }
    const { body } = await ask('GET', `/projects/${id}/changes?since=0`);
    wanted(
      'the revisions',
      body.map((entry) => entry.revision),
      Array.from({ length: revision }, (_, i) => i + 1),
    );
    wanted('the first revision', (await ask('GET', `/projects/${id}/revisions/0`)).status, 200);
    wanted('the demo under what was added', before.length > 0, true);
    say('the clock jumped by days and years, both ways: jobs went on, edits were stored in order');
  } finally {
    await end(server?.child);
    await database.stop();
    rmSync(folder, { recursive: true, force: true });
  }
}

const KILLS = 12;

/** `npm start`, with its server or its database killed again and again: it is there again, and the demo is as it was. */
async function killedLauncher(random, say) {
  const data = mkdtempSync(join(tmpdir(), 'dialoga-data-'));
  spawnSync('chmod', ['711', data]);
  const port = await freePort();
  const env = { ...process.env, DATA_FOLDER: data, PORT: String(port), DATABASE_URL: '' };
  const launcher = spawn(process.execPath, [join(ROOT, 'scripts/start.mjs')], {
    env,
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  let output = '';
  launcher.stdout.on('data', (text) => (output += String(text)));
  launcher.stderr.on('data', (text) => (output += String(text)));
  const ask = asking(port);
  const answers = async (path, right) => {
    for (let tries = 0; tries < 1200; tries++) {
      const answer = await ask('GET', path).catch(() => null);
      if (answer?.status === 200 && (!right || right(answer))) return answer;
      if (launcher.exitCode !== null) throw new Error(`the launcher ended:\n${output}`);
      await pause(100);
    }
    throw new Error(`${path} does not answer:\n${output}`);
  };
  try {
    await answers('/health');
    const [{ id }] = (await answers('/projects', ({ body }) => body.length === 2)).body;
    const before = (await answers(`/projects/${id}/file`)).text;
    for (let kill = 0; kill < KILLS; kill++) {
      const victim = kill % 3 === 2 ? 'mariadbd' : 'main.js';
      const pid = childOf(launcher.pid, victim);
      if (pid === null) throw new Error(`${victim} is not there to be killed`);
      process.kill(pid, 'SIGKILL');
      await pause(random() * 300);
      await answers('/health');
    }
    wanted('the demo after it all', (await answers(`/projects/${id}/file`)).text === before, true);
    const again = output.match(/starting it again(?: in \d+ s)?/g) ?? [];
    wanted('starts again', again.length >= KILLS, true);
    say(
      `the launcher started its processes again ${again.length} times, the last: “${again.at(-1)}”; the demo is as it was`,
    );
  } finally {
    await end(launcher, 'SIGTERM', 30_000);
    rmSync(data, { recursive: true, force: true });
  }
}

/** The process that another one started and whose command has these words; null where there is none now. */
function childOf(parent, words) {
  const { stdout } = spawnSync('ps', ['-o', 'pid=,args=', '--ppid', String(parent)]);
  const line = stdout
    .toString()
    .split('\n')
    .find((one) => one.includes(words));
  return line ? Number(line.trim().split(/\s+/)[0]) : null;
}
