import { readFileSync } from 'node:fs';
import { connect } from 'node:net';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { SECTION_OF } from '@dialoga/core/file';
import { KINDS } from '@dialoga/core/model';
import { startDatabase } from '../scripts/database.mjs';
import { ROOT } from '../scripts/paths.mjs';
import { pause } from '../scripts/pauses.mjs';
import { end, freePort } from '../scripts/run.mjs';
import { mutator } from './mutate.mjs';
import { numbers } from './numbers.mjs';
import { busiest, memoryOf, startServer } from './server.mjs';

const AT_ONCE = 12;
const LONGEST_ANSWER_MS = 5000;
const MOST_HEALTH_MS = 100;
const MOST_BUSY_MS = 100;
const MOST_MB = 512;
/** Threads that had nothing to do for a minute are let go. */
const REST_MS = 75_000;

/**
 * Sends mutated change sets, files and addresses, hostile patterns, bombs, slow readers and streams to a server of its
 * own, many at once, while somebody asks for its health; then looks whether it still answers, and whether a project that
 * nobody touched is the same byte by byte. Throws where something is not as it should be. Times and memory are judged
 * only with `rest`, at length on a machine that does nothing else.
 */
export async function fuzz({ times, seed, rest = true, say }) {
  const random = numbers(seed);
  const database = await startDatabase('torture', { quiet: true });
  await database.dropDatabase('dialoga_fuzz');
  await database.createDatabase('dialoga_fuzz');
  const server = await startServer(database.url('dialoga_fuzz'), await freePort(), { REQUESTS_A_MINUTE: '100000000' });
  const began = Date.now();
  try {
    const attack = await attackOn(server, random);
    const before = await attack.fileOf(attack.untouched);
    await busiest(server);
    const watch = watchHealth(server);
    const slow = slowReaders(server, attack.untouched);
    let left = times;
    const workers = Array.from({ length: AT_ONCE }, async () => {
      while (left > 0) {
        left--;
        if (left % 10_000 === 0)
          say(`${left} left; ${attack.slowest.ms.toFixed(0)} ms the slowest answer, ${attack.slowest.what}`);
        await attack.one();
      }
    });
    await Promise.all(workers);
    const { busy, late } = await busiest(server);
    const health = await watch.stop();
    slow.close();
    if ((await attack.fileOf(attack.untouched)) !== before)
      throw new Error('a project that nobody touched has changed');
    await attack.followsJournal();
    if (rest) await pause(REST_MS);
    const memory = memoryOf(server);
    const result = { ...attack.result(), health, busy, late, memory, seconds: (Date.now() - began) / 1000 };
    const faults = [
      ...attack.faults,
      ...(rest && attack.slowest.ms > LONGEST_ANSWER_MS
        ? [`an answer took ${attack.slowest.ms.toFixed(0)} ms: ${attack.slowest.what}`]
        : []),
      ...(rest && health.middle > MOST_HEALTH_MS ? [`health took ${health.middle.toFixed(0)} ms, the middle one`] : []),
      ...(rest && memory > MOST_MB ? [`${memory.toFixed(0)} MB at rest`] : []),
      ...(rest && busy > MOST_BUSY_MS ? [`the thread that answers was busy for ${busy.toFixed(0)} ms`] : []),
    ];
    if (faults.length > 0) throw new Error([...new Set(faults)].slice(0, 20).join('\n'));
    return result;
  } finally {
    await end(server.child);
    await database.stop();
  }
}

async function attackOn({ port }, random) {
  const base = `http://127.0.0.1:${port}`;
  const { pick, anything, mutated, garbled, text } = mutator(random);
  const statuses = new Map();
  const faults = [];
  const slowest = { ms: 0, what: '' };

  /** Sends it, and notes how it was answered. What the fuzz cannot say in a header is not sent. */
  async function send(method, path, { body, headers = {}, what = '' } = {}) {
    const start = performance.now();
    let answer;
    try {
      answer = await fetch(`${base}${path}`, { method, headers, body, signal: AbortSignal.timeout(60_000) });
      const sent = Buffer.from(await answer.arrayBuffer());
      const ms = performance.now() - start;
      if (ms > slowest.ms) Object.assign(slowest, { ms, what: `${method} ${path.slice(0, 80)} ${what}` });
      statuses.set(answer.status, (statuses.get(answer.status) ?? 0) + 1);
      if (answer.status === 500)
        faults.push(`500: ${method} ${path.slice(0, 80)} ${what} ${String(body).slice(0, 1500)}`);
      return { status: answer.status, body: sent };
    } catch (error) {
      if (answer === undefined)
        faults.push(`no answer: ${method} ${path.slice(0, 80)} ${what}: ${error.cause?.code ?? error.name}`);
      return { status: 0, body: Buffer.alloc(0) };
    }
  }
  const JSON_TYPE = { 'Content-Type': 'application/json' };
  const json = async (answer) => JSON.parse((await answer).body.toString());
  const demo = async () =>
    (await json(send('POST', '/api/projects/demo', { headers: JSON_TYPE, body: '{"demo":"kestrel-quay"}' }))).id;
  const [untouched, target] = [await demo(), await demo()];
  const file = readFileSync(join(ROOT, 'demo/kestrel-quay.dialoga.json'), 'utf8');
  const small = readFileSync(join(ROOT, 'e2e/projects/two-suppliers.dialoga.json'), 'utf8');
  const tree = JSON.parse(file);
  const entities = KINDS.flatMap((kind) => (tree[SECTION_OF[kind]] ?? []).map((entity) => ({ kind, entity })));
  let n = 0;

  /** A change of something that is there, or something new, as a person's edit would send it. */
  function change() {
    const { kind, entity } = pick(entities);
    if (random() < 0.3) {
      const id = `f${n++}`;
      return { kind, id, path: [], after: { ...entity, id } };
    }
    const field = pick(Object.keys(entity));
    return {
      kind,
      id: entity.id,
      path: [field],
      before: entity[field],
      after: random() < 0.5 ? anything() : mutated(entity[field]),
    };
  }
  const changeSet = () => ({
    id: `s${n++}`,
    label: 'fuzz',
    changes: Array.from({ length: 1 + Math.floor(random() * 4) }, change),
  });

  const attacks = {
    async 'change set'() {
      const set = random() < 0.5 ? changeSet() : mutated(changeSet());
      const plain = JSON.stringify(set) ?? 'null';
      const body = random() < 0.05 ? garbled(plain) : plain;
      await send('POST', `/api/projects/${target}/changes`, { headers: JSON_TYPE, body, what: 'change set' });
    },
    async file() {
      const source = JSON.parse(small);
      const body = random() < 0.2 ? garbled(small) : JSON.stringify(mutated(source, 0.1));
      const headers = { 'Content-Type': 'application/octet-stream' };
      const answer = await send('POST', '/api/imports', { headers, body, what: 'file' });
      if (answer.status !== 202) return;
      const { job } = JSON.parse(answer.body.toString());
      for (let tries = 0; tries < 400; tries++) {
        const state = await json(send('GET', `/api/jobs/${job}`));
        if (state.state === 'failed' && state.message.startsWith('Something went wrong'))
          faults.push(`import failed: ${body.slice(0, 300)}`);
        if (state.project) await send('DELETE', `/api/projects/${state.project}`, await nameOf(state.project));
        if (state.state !== 'running') return;
        await pause(50);
      }
    },
    async address() {
      const part = () =>
        encodeURIComponent(random() < 0.5 ? text().replace(/[\ud800-\udfff]/g, '') : pick([target, 'p1', '0', '-1']));
      const path = pick([
        () => `/api/projects/${part()}`,
        () => `/api/projects/${part()}/changes?since=${part()}`,
        () => `/api/projects/${target}/revisions/${part()}`,
        () => `/api/projects/${target}/revisions?before=${part()}`,
        () => `/api/jobs/${part()}`,
        () => `/api/events?projects=${part()}`,
        () => `/${part()}/${part()}?${part()}=${part()}`,
      ])();
      const method = path.startsWith('/api/events')
        ? 'POST'
        : pick(['GET', 'GET', 'GET', 'HEAD', 'PUT', 'DELETE', 'PATCH', 'OPTIONS']);
      const body = ['GET', 'HEAD'].includes(method) ? undefined : (JSON.stringify(anything()) ?? 'null');
      await send(method, path.slice(0, 7000), { headers: JSON_TYPE, body, what: 'address' });
    },
    async names() {
      const body = JSON.stringify(random() < 0.5 ? { name: anything() } : mutated({ name: 'x', author: 'y' }));
      await send('PATCH', `/api/projects/${target}`, { headers: JSON_TYPE, body: body ?? 'null', what: 'name' });
    },
    async bomb() {
      const inner = pick(['{}', '[]', '0', '""', '{"kind":"lane"}']);
      const many = Math.floor(random() * 2_000_000);
      const plain = `{"id":"b","label":"","changes":[${`${inner},`.repeat(many)}${inner}]}`;
      const body = random() < 0.2 ? gzipSync(Buffer.alloc(60_000_000, '[')) : gzipSync(plain.slice(0, 30_000_000));
      const headers = { ...JSON_TYPE, 'Content-Encoding': 'gzip' };
      await send('POST', `/api/projects/${target}/changes`, { headers, body, what: 'bomb' });
    },
    async read() {
      const path = pick(['', '/file', '/tally', '/revisions/0', '/revisions', '/changes?since=0']);
      await send('GET', `/api/projects/${pick([target, untouched])}${path}`, { what: 'read' });
    },
    async stream() {
      const ids = Array.from({ length: 1 + Math.floor(random() * 60) }, () => `p${Math.floor(random() * 1e9)}`);
      if (random() < 0.5) ids.push(target);
      const own = new AbortController();
      const answer = await fetch(`${base}/api/events?projects=${ids.join()}`, { signal: own.signal }).catch(() => null);
      if (answer) statuses.set(answer.status, (statuses.get(answer.status) ?? 0) + 1);
      await pause(random() * 200);
      own.abort();
    },
    async pattern() {
      // A profile whose texts are made to be divided in many ways, and places that are.
      const { id, text: known } = { id: tree.profiles[0].id, text: tree.profiles[0].pointText?.text };
      const to = pick(['{station}{slot}{channel}'.repeat(4), '{station}'.repeat(7), `${'{slot}'.repeat(30)}!`]).slice(
        0,
        190,
      );
      const set = {
        id: `p${n++}`,
        label: '',
        changes: [{ kind: 'profile', id, path: ['pointText', 'text'], before: known, after: to }],
      };
      await send('POST', `/api/projects/${target}/changes`, {
        headers: JSON_TYPE,
        body: JSON.stringify(set),
        what: 'pattern',
      });
      await send('GET', `/api/projects/${target}/tally`, { what: 'pattern' });
    },
  };
  async function nameOf(project) {
    const list = await json(send('GET', '/api/projects'));
    return { headers: JSON_TYPE, body: JSON.stringify({ name: list.find(({ id }) => id === project)?.name ?? '' }) };
  }
  /** Change sets most of all; of what is costly a little. */
  const SHARES = [
    ...[
      ['change set', 0.84],
      ['address', 0.1],
      ['names', 0.03],
      ['read', 0.008],
      ['stream', 0.01],
      ['file', 0.005],
    ],
    ...[
      ['pattern', 0.002],
      ['bomb', 0.002],
      ['change set', 1],
    ],
  ];
  const made = new Map();

  return {
    untouched,
    faults,
    slowest,
    async one() {
      let share = random();
      const [kind] = SHARES.find(([, part]) => (share -= part) < 0);
      made.set(kind, (made.get(kind) ?? 0) + 1);
      await attacks[kind]();
    },
    fileOf: async (id) => (await send('GET', `/api/projects/${id}/file`)).body.toString(),
    /** What was changed is what the journal says, from the first revision on. */
    async followsJournal() {
      const [{ revision }] = (await json(send('GET', '/api/projects'))).filter(({ id }) => id === target);
      const now = await json(send('GET', `/api/projects/${target}/revisions/${revision}`));
      const open = await json(send('GET', `/api/projects/${target}`));
      const sorted = (sections) =>
        JSON.stringify(KINDS.map((kind) => [...sections[SECTION_OF[kind]]].sort((a, b) => (a.id < b.id ? -1 : 1))));
      if (sorted(now) !== sorted(open)) throw new Error('the tables differ from the journal');
    },
    result: () => ({ statuses: Object.fromEntries([...statuses].sort()), made: Object.fromEntries(made), slowest }),
  };
}

/** Asks for the health of the server again and again, over a connection of its own. */
function watchHealth({ port }) {
  const times = [];
  let going = true;
  const done = (async () => {
    while (going) {
      const start = performance.now();
      const { status } = await fetch(`http://127.0.0.1:${port}/api/health`, { headers: { Connection: 'close' } });
      if (status !== 200) throw new Error(`health was answered with ${status}`);
      times.push(performance.now() - start);
      await pause(50);
    }
  })();
  return {
    async stop() {
      going = false;
      await done;
      times.sort((a, b) => a - b);
      return { middle: times[Math.floor(times.length / 2)], most: times.at(-1), asked: times.length };
    },
  };
}

/** Some that open a project and do not read it, and some that send a letter every now and then. */
function slowReaders({ port }, project) {
  const sockets = new Set();
  const open = (first) => {
    const socket = connect(port, '127.0.0.1', () => socket.write(first));
    socket.pause();
    sockets.add(socket);
    socket.on('error', () => undefined);
    socket.on('close', () => sockets.delete(socket) && going && setTimeout(() => open(first), 1000).unref());
    return socket;
  };
  let going = true;
  for (let i = 0; i < 12; i++) open(`GET /api/projects/${project} HTTP/1.1\r\nHost: localhost\r\n\r\n`);
  for (let i = 0; i < 12; i++)
    open(
      'POST /api/projects/x/changes HTTP/1.1\r\nHost: localhost\r\nContent-Length: 500000\r\nContent-Type: application/json\r\n\r\n{',
    );
  const drip = setInterval(() => sockets.forEach((socket) => socket.writable && socket.write(' ')), 500);
  return {
    close() {
      going = false;
      clearInterval(drip);
      for (const socket of sockets) socket.destroy();
    },
  };
}
