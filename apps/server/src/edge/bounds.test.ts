import type { Server } from 'node:http';
import { connect, type AddressInfo, type Socket } from 'node:net';
import { gzipSync } from 'node:zlib';
import fc from 'fast-check';
import type { Logger } from 'typeorm';
import { commit, imported, newDemo, newSmall, testServer, type TestServer } from '../testing/server.testing.js';
import { tooMuchIn } from './body-size.js';
import { MOST_STREAMS_OF_ONE, SILENT_MS } from './limits.js';

let server: TestServer;
let project: string;
const address = () => (server.app.getHttpServer() as { address: () => AddressInfo }).address();
beforeAll(async () => {
  server = await testServer();
  await server.app.listen(0, '127.0.0.1');
  project = await newSmall(server);
});
afterAll(() => server.close());

const sendRaw = async (path: string, body: Buffer, headers: Record<string, string>) => {
  const answer = await fetch(`${await server.app.getUrl()}${path}`, { method: 'POST', headers, body });
  return {
    status: answer.status,
    body: (await answer.json()) as { message: string; problems?: unknown[]; job?: string },
  };
};
const changes = () => `/api/projects/${project}/changes`;
const JSON_GZIP = { 'Content-Type': 'application/json', 'Content-Encoding': 'gzip' };

describe('a few hundred bytes that stand for a lot', () => {
  test('a hundred thousand empty changes: told in at most a hundred problems, without the others being looked at', async () => {
    const bomb = gzipSync(`{"id":"a","label":"","changes":[${'{},'.repeat(99_999)}{}]}`);
    expect(bomb.length).toBeLessThan(1000);
    const { status, body } = await sendRaw(changes(), bomb, JSON_GZIP);
    expect([status, body.problems!.length]).toEqual([400, 100]);
  });

  test('a million changes are counted, and none is looked at', async () => {
    const bomb = gzipSync(`{"id":"a","label":"","changes":[${'{},'.repeat(999_999)}{}]}`);
    const { status, body } = await sendRaw(changes(), bomb, JSON_GZIP);
    expect([status, body.problems]).toEqual([
      400,
      [{ where: 'changes', found: '1000000 changes', expected: 'must be a list of 1 to 100,000 changes' }],
    ]);
  });

  test('more than is let in, inflated', async () => {
    const { status, body } = await sendRaw(changes(), gzipSync(Buffer.alloc(200_000_000, ' ')), JSON_GZIP);
    expect([status, body.message]).toEqual([413, 'The body is too large.']);
  });

  test('a file of forty million objects is refused before anything is made of it', async () => {
    const file = Buffer.from(`{"format":"dialoga-project","version":1,"lanes":[${'{},'.repeat(40_000_000)}{}]}`);
    const job = await imported(server, file);
    expect(job).toMatchObject({
      state: 'failed',
      message: 'The file holds more than this server takes; nothing was stored.',
    });
  });

  test('a file of two hundred thousand wrong entities is told in a hundred problems', async () => {
    const file = `{"format":"dialoga-project","version":1,"project":[{"id":"project","name":""}],"lanes":[${'{},'.repeat(200_000)}{}]}`;
    const job = await imported(server, Buffer.from(file));
    expect([job.state, job.problems.length]).toEqual(['failed', 100]);
  });

  test('the thread that answers goes on meanwhile: it hands over what is large', async () => {
    const many = Array.from({ length: 20_000 }, (_, i) => ({
      kind: 'lane',
      id: `b${i}`,
      path: [],
      after: { id: `b${i}`, order: i, exchange: 'duty', items: {} },
    }));
    const body = Buffer.from(JSON.stringify({ id: 'many', label: '', changes: many }));
    let under = true;
    const large = sendRaw(changes(), body, { 'Content-Type': 'application/json' }).finally(() => (under = false));
    let answered = 0;
    for (; under; answered++) await server.http.get('/api/health').expect(200);
    expect((await large).status).toBe(201);
    // A thread that looked through so many itself would have answered a few, before and after.
    expect(answered).toBeGreaterThan(20);
  });
});

test('what a body holds is counted as a parser would, in one pass', () => {
  // One for the whole, one more for each list or object, and one for each comma.
  const inside = (value: unknown): number => {
    if (typeof value !== 'object' || value === null) return 0;
    const inner = Object.values(value);
    return 1 + Math.max(0, inner.length - 1) + inner.reduce<number>((sum, one) => sum + inside(one), 0);
  };
  const count = (value: unknown) => 1 + inside(value);
  const depth = (value: unknown): number =>
    typeof value === 'object' && value !== null ? 1 + Math.max(0, ...Object.values(value).map(depth)) : 0;
  fc.assert(
    fc.property(fc.jsonValue({ maxDepth: 6 }), (value) => {
      const json = Buffer.from(JSON.stringify(value));
      const [deep, values] = [depth(value), count(value)];
      expect(tooMuchIn(json, Infinity, deep)).toBeNull();
      expect(tooMuchIn(json, values)).toBeNull();
      expect(tooMuchIn(json, values - 1)).toBe('values');
      if (deep > 0) expect(tooMuchIn(json, Infinity, deep - 1)).toBe('depth');
    }),
  );
  expect(tooMuchIn(Buffer.from(JSON.stringify('[{,'.repeat(1000) + '\\"')), 1, 1)).toBeNull();
});

describe('whoever does not read', () => {
  test('a project opened twelve times and not read holds up nobody', async () => {
    const large = await newDemo(server);
    const sockets: Socket[] = Array.from({ length: 12 }, () => {
      const socket = connect(address().port, '127.0.0.1');
      socket.write(`GET /api/projects/${large} HTTP/1.1\r\nHost: localhost\r\n\r\n`);
      socket.pause();
      return socket;
    });
    try {
      await Promise.all(sockets.map((socket) => new Promise((resolve) => socket.once('readable', resolve))));
      await server.http.get('/api/health').expect(200);
      const name = 'PlantCtl';
      const change = { kind: 'station', id: 'plantctl', path: ['name'], before: name, after: 'Plant' } as const;
      await commit(server, large, { id: 'meanwhile', label: '', changes: [change] }).expect(201);
      const { body } = await server.http.get(`/api/projects/${large}`).expect(200);
      expect((body as { revision: number }).revision).toBe(1);
    } finally {
      for (const socket of sockets) socket.destroy();
    }
  });

  test('a connection over which nothing goes is given up', async () => {
    const own = await testServer(server);
    const http = own.app.getHttpServer() as Server;
    expect(http.timeout).toBe(SILENT_MS);
    http.setTimeout(200);
    const given = new Promise((resolve) => http.once('connection', (held: Socket) => held.once('close', resolve)));
    await own.app.listen(0, '127.0.0.1');
    const socket = connect((http.address() as AddressInfo).port, '127.0.0.1');
    socket.on('error', () => undefined);
    // Half a request, and nothing after it.
    socket.write(
      'POST /api/projects HTTP/1.1\r\nHost: localhost\r\nContent-Type: application/json\r\nContent-Length: 20\r\n\r\n{"na',
    );
    await given;
    socket.destroy();
    await own.close();
  });
});

describe('streams of news', () => {
  test('of projects that are not there are refused, and those that are there are followed', async () => {
    const none = Array.from({ length: 50 }, (_, i) => `p${i}`).join();
    await server.http.get(`/api/events?projects=${none}`).expect(404);
    const url = `${await server.app.getUrl()}/api/events?projects=${project},p0`;
    const stream = await fetch(url);
    const reader = stream.body!.pipeThrough(new TextDecoderStream()).getReader();
    let told = '';
    while (!told.includes(`"${project}"`)) {
      const { value, done } = await reader.read();
      if (done) throw new Error(`the stream ended after ${told}`);
      told += value;
    }
    expect(told).not.toContain('"p0"');
    await reader.cancel();
  });

  test('are counted: one more than anybody needs is put off, and one that is closed makes room', async () => {
    const url = `${await server.app.getUrl()}/api/events?projects=${project}`;
    // The answers are held: a stream whose answer nobody holds any more may be closed by the collector of garbage.
    const open: { own: AbortController; answer: Response }[] = [];
    try {
      let status = 200;
      while (status === 200 && open.length <= MOST_STREAMS_OF_ONE) {
        const own = new AbortController();
        const answer = await fetch(url, { signal: own.signal });
        status = answer.status;
        if (status === 200) open.push({ own, answer });
      }
      expect(status).toBe(429);
      open.pop()!.own.abort();
      for (status = 429; status === 429;) {
        const own = new AbortController();
        const answer = await fetch(url, { signal: own.signal });
        status = answer.status;
        if (status === 200) open.push({ own, answer });
      }
      expect(status).toBe(200);
    } finally {
      for (const { own } of open) own.abort();
    }
  });
});

test('however many follow however many projects, one question to the database serves them all', async () => {
  const STREAMS = 40;
  const own = await testServer(server);
  await own.app.listen(0, '127.0.0.1');
  const url = await own.app.getUrl();
  const projects = await Promise.all(Array.from({ length: 5 }, () => newSmall(server)));
  const open = Array.from({ length: STREAMS }, () => new AbortController());
  const streams = await Promise.all(
    open.map(async ({ signal }) => {
      const { body } = await fetch(`${url}/api/events?projects=${projects.join()}`, { signal });
      return body!.pipeThrough(new TextDecoderStream()).getReader();
    }),
  );
  const hear = (news: string) =>
    Promise.all(
      streams.map(async (stream) => {
        for (let told = ''; !told.includes(news);) told += (await stream.read()).value;
      }),
    );
  try {
    await hear('"revision":0');
    let asked = 0;
    const counted: Logger = { logQuery: () => asked++, ...QUIET };
    own.database.logger = counted;
    // Another process commits: it is heard of by asking. Three rounds, at most two of questions each.
    for (const revision of [1, 2, 3]) {
      const change = { kind: 'station', id: 'skidctl', path: ['comment'], after: `round ${revision}` } as const;
      const before = revision > 1 ? { before: `round ${revision - 1}` } : {};
      const set = { id: `round${revision}`, label: '', changes: [{ ...change, ...before }] };
      await commit(server, projects[4]!, set).expect(201);
      await hear(`"revision":${revision}`);
    }
    expect(asked).toBeGreaterThan(0);
    expect(asked).toBeLessThan(STREAMS);
  } finally {
    for (const one of open) one.abort();
    await own.close();
  }
});

const QUIET = {
  logQueryError: () => undefined,
  logQuerySlow: () => undefined,
  logSchemaBuild: () => undefined,
  logMigration: () => undefined,
  log: () => undefined,
};

describe('texts and names as nobody types them', () => {
  const send = (after: unknown, path = ['name'], more: object = {}) =>
    server.http.post(changes()).send({
      id: `t${Math.floor(performance.now() * 1000)}`,
      label: 'Rename',
      ...more,
      changes: [{ kind: 'station', id: 'skidctl', path, before: 'SkidCtl', after }],
    });

  test('four hundred letters, each with a variation selector, are eight hundred characters, and too long', async () => {
    const long = 'a\ufe0f'.repeat(400);
    await send(long).expect(422);
    await send('x', ['name'], { label: long }).expect(400);
    await send('x', ['name'], { author: long }).expect(400);
    await server.http.post('/api/projects').send({ name: long }).expect(400);
    await server.http
      .post('/api/projects')
      .send({ name: '🧊'.repeat(500) })
      .expect(201);
  });

  test('half a character is refused', async () => {
    await send('half \ud83e').expect(422);
    await send('x', ['name'], { label: '\ud83e' }).expect(400);
  });

  test.each(['constructor', 'toString', 'hasOwnProperty', 'isPrototypeOf', '__proto__'])('the path %s', async (key) => {
    const { status } = await send({ any: 'x'.repeat(2000) }, [key]);
    expect(status).toBe(400);
    const whole = `{"id":"own1","order":1,"exchange":"duty","items":{},"${key}":"x"}`;
    const sent = `{"id":"k1","label":"","changes":[{"kind":"lane","id":"own1","path":[],"after":${whole}}]}`;
    const answer = await server.http.post(changes()).set('Content-Type', 'application/json').send(sent);
    expect([key, answer.status]).toEqual([key, 422]);
  });

  test('an id with a blank behind it is another, and there is none', async () => {
    for (const path of ['', '/file', '/changes?since=0', '/revisions', '/revisions/0', '/tally']) {
      await server.http.get(`/api/projects/${project}%20${path}`).expect(404);
      await server.http
        .get(`/api/projects/${project.toUpperCase()}${path}`)
        .expect(path.match(/changes|revisions$/) ? 200 : 404);
    }
  });
});

test('behind a proxy everybody is counted for himself', async () => {
  const limited = await testServer(server, { requestsAMinute: 2, trustProxy: 1 });
  try {
    const asks = (who: string) => limited.http.get('/api/projects').set('X-Forwarded-For', who);
    for (const who of ['10.0.0.1', '10.0.0.1', '10.0.0.2']) await asks(who).expect(200);
    await asks('10.0.0.1').expect(429);
    await asks('10.0.0.2').expect(200);
  } finally {
    await limited.close();
  }
});
