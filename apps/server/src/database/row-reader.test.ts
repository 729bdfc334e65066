import { apply, dropWithDependents, invert, type ChangeSet } from '@dialoga/core/change';
import { readProject } from '@dialoga/core/entry';
import { commit, fileOf, newDemo, testServer, type TestServer } from '../testing/server.testing.js';
import { RowReader } from './row-reader.js';

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.close());

/** Deletes the demo's largest station with all that depends on it: some nine hundred changes. */
async function deletion(id: string): Promise<ChangeSet> {
  const read = readProject(await fileOf(server, id));
  if (!read.ok) throw new Error('the demo cannot be read');
  return { id: 'gone', label: 'Delete', changes: dropWithDependents(read.project, 'station', 'plantctl') };
}

/** Statements sent while a change set is applied over rows, each of which is fetched when it is asked for. */
async function statementsFor(id: string, set: ChangeSet): Promise<number> {
  return server.database.transaction(async (manager) => {
    const query = manager.query.bind(manager);
    let statements = 0;
    manager.query = ((text: string, values?: unknown[]) => {
      statements++;
      return query(text, values as never);
    }) as typeof manager.query;
    const reader = new RowReader(manager, id);
    await reader.fetchFor(set);
    let applied = apply(reader, set);
    while (await reader.fetch()) applied = apply(reader, set);
    expect(applied.ok).toBe(true);
    return statements;
  });
}

test('many entities are fetched together: nine hundred changes take no more than a few statements a kind', async () => {
  const id = await newDemo(server);
  const set = await deletion(id);
  expect(set.changes.length).toBeGreaterThan(800);
  expect(await statementsFor(id, set)).toBeLessThan(60);
  await commit(server, id, set).expect(201);
  expect(await statementsFor(id, invert(set, 'back'))).toBeLessThan(120);
});

test('a station deleted with all that depends on it, and that taken back: the same file, and references as before', async () => {
  const id = await newDemo(server);
  const before = await fileOf(server, id);
  const references = () =>
    server.database.query('SELECT target, kind, source FROM reference WHERE project = ? ORDER BY 1, 2, 3', [id]);
  const named: unknown = await references();
  const set = await deletion(id);
  await commit(server, id, set).expect(201);
  expect(JSON.stringify(await references())).not.toContain('"plantctl"');
  await commit(server, id, invert(set, 'back')).expect(201);
  expect(await fileOf(server, id)).toBe(before);
  expect(await references()).toEqual(named);
});
