import { once } from 'node:events';
import { apply } from '@dialoga/core/change';
import { writeProject } from '@dialoga/core/file';
import { KINDS, Project, referencesOf } from '@dialoga/core/model';
import { readProject } from '@dialoga/core/entry';
import { createConnection } from 'mysql2/promise';
import { startDatabase } from '../scripts/database.mjs';
import { pause } from '../scripts/pauses.mjs';
import { end, freePort } from '../scripts/run.mjs';
import { ask } from './ask.mjs';
import { numbers } from './numbers.mjs';
import { startServer } from './server.mjs';

const WRITERS = 6;
/** After as many a project is looked through, and another begun: its replay takes the longer the more was written. */
const KILLS_A_PROJECT = 20;
const LONGEST_MS = 25 * 60_000;

/**
 * Kills server processes and the database (-9) at random moments while writers write through two processes, starts them
 * again, and then looks whether everything acknowledged is there, nothing refused, and nothing half. Throws where not.
 */
export async function killTest({ kills, seed, say }) {
  const random = numbers(seed);
  const began = Date.now();
  const world = await startWorld();
  const total = { kills: 0, acknowledged: 0, refused: 0, retries: 0, recoveries: [] };
  try {
    while (total.kills < kills) await oneProject(Math.min(KILLS_A_PROJECT, kills - total.kills));
  } finally {
    await world.stop();
  }
  const recoveries = total.recoveries.sort((a, b) => a - b);
  return { ...total, recovery: recoveries[recoveries.length >> 1], seconds: (Date.now() - began) / 1000 };

  async function oneProject(times) {
    const id = (await call(world.servers[0].port, 'POST', '/projects/demo', { demo: 'kestrel-quay' })).body.id;
    const state = { writing: true, acknowledged: new Map(), refused: new Set(), retries: 0 };
    const writers = Array.from({ length: WRITERS }, (_, w) => writer(world, id, w, random, state));
    for (let kill = 0; kill < times; kill++) {
      await pause(40 + random() * 500);
      if (Date.now() - began > LONGEST_MS) throw new Error(`only ${total.kills} of ${kills} kills fit in the time`);
      const victim = total.kills % 3 === 2 ? 'database' : `server ${1 + (total.kills % 2)}`;
      const start = Date.now();
      await world.kill(victim);
      total.recoveries.push(Date.now() - start);
      total.kills++;
      say(`kill ${total.kills}: ${victim}; ${total.acknowledged + state.acknowledged.size} acknowledged so far`);
    }
    await pause(300);
    state.writing = false;
    await Promise.all(writers);
    await verify(world, id, state);
    total.acknowledged += state.acknowledged.size;
    total.refused += state.refused.size;
    total.retries += state.retries;
  }
}

/** A database and two server processes, each of which can be killed and comes back at the same address. */
async function startWorld() {
  const port = await freePort();
  let database = await startDatabase('torture', { port, quiet: true });
  await database.dropDatabase('dialoga_torture');
  await database.createDatabase('dialoga_torture');
  const url = database.url('dialoga_torture');
  const start = (own) => startServer(url, own);
  // One after the other: the first makes the tables.
  const servers = [await start(await freePort())];
  servers.push(await start(await freePort()));
  const gone = async (child) => {
    if (child.exitCode === null && child.signalCode === null) {
      child.kill('SIGKILL');
      await once(child, 'exit');
    }
  };
  return {
    url,
    servers,
    async kill(victim) {
      if (victim === 'database') {
        await database.kill();
        database = await startDatabase('torture', { port, quiet: true });
        return;
      }
      const i = Number(victim.at(-1)) - 1;
      await gone(servers[i].child);
      servers[i] = await start(servers[i].port);
    },
    async stop() {
      for (const { child } of servers) await end(child);
      await database.stop();
    },
  };
}

const call = (port, method, path, body) => ask(port, method, path, body, 10_000);

/** Writes until told to stop. What was not answered is sent again under the same id, to either process. */
async function writer(world, project, w, random, state) {
  let name = 'PlantCtl';
  for (let n = 0; state.writing; n++) {
    const id = `w${w}n${n}`;
    const many = Array.from({ length: random() < 0.1 ? 300 : 2 }, (_, i) => ({
      kind: 'lane',
      id: `${id}l${i}`,
      path: [],
      after: { id: `${id}l${i}`, order: n, exchange: 'duty', items: {} },
    }));
    const fight = { kind: 'station', id: 'plantctl', path: ['name'], before: name, after: `Plant ${id}` };
    const set = { id, label: `write ${n}`, changes: random() < 0.4 ? [...many, fight] : many };
    for (;;) {
      const { port } = world.servers[random() < 0.5 ? 0 : 1];
      const answer = await call(port, 'POST', `/projects/${project}/changes`, set).catch(() => null);
      if (answer?.status === 201) {
        state.acknowledged.set(id, answer.body.revision);
        if (set.changes.length > many.length) name = fight.after;
        break;
      }
      if (answer?.status === 409) {
        state.refused.add(id);
        name = answer.body.refusal.stored;
        break;
      }
      if (answer && answer.status < 500) throw new Error(`${answer.status}: ${JSON.stringify(answer.body)}`);
      state.retries++;
      await pause(20);
    }
  }
}

async function verify(world, id, { acknowledged, refused }) {
  const fail = (sentence) => {
    throw new Error(sentence);
  };
  const { port } = world.servers[0];
  const journal = [];
  for (;;) {
    const { body } = await call(port, 'GET', `/projects/${id}/changes?since=${journal.at(-1)?.revision ?? 0}`);
    if (body.length === 0) break;
    journal.push(...body);
  }
  journal.forEach((entry, i) => entry.revision === i + 1 || fail(`the journal has a gap before ${entry.revision}`));
  const stored = new Map(journal.map((entry) => [entry.set.id, entry.revision]));
  if (stored.size !== journal.length) fail('a change set stands in the journal twice');
  for (const [set, revision] of acknowledged) {
    if (stored.get(set) !== revision)
      fail(`${set} was acknowledged as ${revision} and is ${stored.get(set) ?? 'lost'}`);
  }
  for (const set of refused) if (stored.has(set)) fail(`${set} was refused and is stored`);
  for (const set of stored.keys()) if (!acknowledged.has(set)) fail(`${set} is stored and was never acknowledged`);

  const database = await createConnection(world.url);
  try {
    const [parts] = await database.query('SELECT body FROM baseline WHERE project = ? ORDER BY revision, part', [id]);
    const start = readProject(parts.map((p) => p.body).join(''));
    if (!start.ok) fail('the baseline cannot be read');
    const replayed = journal.reduce((project, { set }) => {
      const applied = apply(project, set);
      if (!applied.ok) fail(`the journal cannot be replayed: ${applied.refusal.sentence}`);
      return project.with(applied.entities);
    }, start.project);
    const entities = {};
    for (const kind of KINDS) {
      const [rows] = await database.query('SELECT body FROM entity WHERE project = ? AND kind = ?', [id, kind]);
      entities[kind] = rows.map((row) => JSON.parse(row.body));
    }
    if (writeProject(Project.of(entities)) !== writeProject(replayed)) fail('the tables differ from the journal');
    const [rows] = await database.query('SELECT target, kind, source FROM reference WHERE project = ?', [id]);
    const found = new Set(rows.map((r) => `${r.target} ${r.kind} ${r.source}`));
    const wanted = new Set();
    for (const kind of KINDS) {
      for (const entity of replayed.all(kind)) {
        for (const r of referencesOf(kind, entity)) wanted.add(`${r.id} ${kind} ${entity.id}`);
      }
    }
    if (found.size !== wanted.size || [...wanted].some((key) => !found.has(key))) fail('the references differ');
  } finally {
    await database.end();
  }
}
