import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { configureStore } from '@reduxjs/toolkit';
import { api, ApiError, AwayError, FullError } from './client';
import { listErrorOf, lists } from './lists';

interface Asked {
  method: string;
  path: string;
  body: string;
}
type Answer = readonly [status: number, body: unknown];

let server: Server;
let asked: Asked[];
/** What the server on the other side answers, by path; an answer of several is given in turn. */
let answers: Record<string, Answer | Answer[]>;
const fetchAbroad = globalThis.fetch;

beforeAll(async () => {
  server = createServer((request, response) => {
    const parts: Buffer[] = [];
    request.on('data', (part: Buffer) => parts.push(part));
    request.on('end', () => {
      const path = request.url!.replace(/^\/api/, '');
      asked.push({ method: request.method!, path, body: Buffer.concat(parts).toString() });
      const known = answers[path] ?? [404, { message: `there is nothing at ${path}` }];
      const [status, body] = Array.isArray(known[0]) ? (known as Answer[]).shift()! : (known as Answer);
      response.writeHead(status, { 'Content-Type': 'application/json' }).end(JSON.stringify(body));
    });
  });
  await new Promise<void>((listening) => server.listen(0, '127.0.0.1', listening));
  const { port } = server.address() as AddressInfo;
  // A page asks its own server; here it has to be told where that is.
  globalThis.fetch = (path, init) => fetchAbroad(`http://127.0.0.1:${port}${path as string}`, init);
});
afterAll(async () => {
  globalThis.fetch = fetchAbroad;
  server.closeAllConnections();
  await new Promise((closed) => server.close(closed));
});
beforeEach(() => {
  asked = [];
  answers = {};
  Object.assign(globalThis, { localStorage: { getItem: () => null } });
});

const summary = (id: string, tally: unknown = null) => ({ id, name: id.toUpperCase(), revision: 3, tally });
const problem = { where: 'stations[2].name', found: 'nothing', expected: 'a name' };

test('an answer that is no success is an error with the server’s sentence and problems', async () => {
  answers['/projects/p'] = [400, { message: 'It cannot be read.', problems: [problem] }];
  const error = await api.open('p').catch((e: unknown) => e);
  expect(error).toBeInstanceOf(ApiError);
  expect(error).toMatchObject({ status: 400, message: 'It cannot be read.', problems: [problem], refusal: null });
});

test('a full disk, a server that is busy or gone, and a database that is gone are three things', async () => {
  answers['/projects/p/changes'] = [507, { message: 'The disk is full.' }];
  answers['/projects'] = [503, { message: 'The database does not answer.' }];
  const set = { id: 'a', label: 'A', changes: [] };
  await expect(api.commit('p', set)).rejects.toBeInstanceOf(FullError);
  await expect(api.list()).rejects.toThrow('The database does not answer.');
  await expect(api.list()).rejects.toBeInstanceOf(AwayError);
  answers['/projects'] = [429, { message: 'Slower.' }];
  await expect(api.list()).rejects.not.toBeInstanceOf(AwayError);
});

test('an edit carries its author where he named himself, and nothing where he did not', async () => {
  answers['/projects/p/changes'] = [200, { revision: 4 }];
  const set = { id: 'a', label: 'A', changes: [] };
  await api.commit('p', set);
  Object.assign(globalThis, { localStorage: { getItem: () => 'R. Imhof' } });
  await api.commit('p', set);
  expect(asked.map(({ body }) => JSON.parse(body) as unknown)).toEqual([set, { ...set, author: 'R. Imhof' }]);
});

test('ids travel whole in the address, whatever they hold', async () => {
  await api.open('a/b ?c').catch(() => null);
  expect(asked[0]!.path).toBe('/projects/a%2Fb%20%3Fc');
});

test('a list that cannot be had says why, at most twenty lines, and whether the server is away', () => {
  const many = Array.from({ length: 30 }, () => problem);
  const refused = listErrorOf(new ApiError(400, 'No.', many));
  expect(refused).toMatchObject({ message: 'No.', away: false });
  expect(refused.lines).toHaveLength(20);
  expect(refused.lines[0]).toContain('a name');
  expect(listErrorOf(new AwayError())).toMatchObject({ lines: [], away: true });
});

function newStore() {
  return configureStore({
    reducer: { lists: lists.reducer },
    middleware: (defaults) => defaults().concat(lists.middleware),
  });
}
const counted = (store: ReturnType<typeof newStore>) =>
  lists.endpoints.projects
    .select()(store.getState())
    .data?.map(({ tally }) => tally) ?? [];

test('projects are listed at once; counts that are not there yet are asked for until they are', async () => {
  const tally = { blockers: 1, doubts: 0, hints: 0 };
  answers['/projects'] = [200, [summary('a', tally), summary('b')]];
  answers['/projects/b/tally'] = [
    [200, summary('b')],
    [200, summary('b', tally)],
  ];
  const store = newStore();
  const filled = new Promise<void>((done) => {
    store.subscribe(() => counted(store).every((one) => one !== null) && counted(store).length === 2 && done());
  });
  await store.dispatch(lists.endpoints.projects.initiate());
  await filled;
  expect(counted(store)).toEqual([tally, tally]);
  expect(asked.map(({ path }) => path)).toEqual(['/projects', '/projects/b/tally', '/projects/b/tally']);
  store.dispatch(lists.util.resetApiState());
});

test('revisions come by pages, each from the last of the one before it, until one is not full', async () => {
  const page = (from: number, count: number) => Array.from({ length: count }, (_, i) => ({ revision: from - i }));
  answers['/projects/p/revisions'] = [200, page(300, 200)];
  answers['/projects/p/revisions?before=101'] = [200, page(100, 100)];
  const store = newStore();
  const first = await store.dispatch(lists.endpoints.revisions.initiate('p'));
  expect(first.hasNextPage).toBe(true);
  const both = await store.dispatch(lists.endpoints.revisions.initiate('p', { direction: 'forward' }));
  expect(both.data?.pages.flat().map(({ revision }) => revision)).toEqual(page(300, 300).map((r) => r.revision));
  expect(both.hasNextPage).toBe(false);
  store.dispatch(lists.util.resetApiState());
});
