import type { ChangeSet } from '@dialoga/core/change';
import { SECTION_OF, writeProject } from '@dialoga/core/file';
import { KINDS, Project, type Entity, type Kind } from '@dialoga/core/model';
import { readProject } from '@dialoga/core/entry';
import { migrateBodies } from '../database/migrate-bodies.js';
import { commit, fileOf, imported, jobEnd, newDemo, testServer, type TestServer } from '../testing/server.testing.js';
import type { JobStarted, JobView } from '../jobs/job.dto.js';
import type { RevisionView } from './revisions.service.js';

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.close());

const rename = (id: string, before: string, after: string): ChangeSet => ({
  id,
  label: `Rename to ${after}`,
  changes: [{ kind: 'station', id: 'plantctl', path: ['name'], before, after }],
});

/** The project as a file at a revision. */
async function fileAt(project: string, revision: number): Promise<string> {
  const { body } = await server.http.get(`/api/projects/${project}/revisions/${revision}`).expect(200);
  const sections = body as Record<string, Entity[]>;
  expect(sections.revision).toBe(revision);
  return writeProject(
    Project.of(Object.fromEntries(KINDS.map((kind) => [kind, sections[SECTION_OF[kind]]])) as Record<Kind, Entity[]>),
  );
}

/** A project of some revisions, with its file at each. */
async function withHistory(count: number): Promise<{ id: string; files: string[] }> {
  const id = await newDemo(server);
  const files = [await fileOf(server, id)];
  for (let i = 1; i <= count; i++) {
    const before = i === 1 ? 'PlantCtl' : `Plant${i - 1}`;
    await commit(server, id, rename(`r${i}`, before, `Plant${i}`)).expect(201);
    files.push(await fileOf(server, id));
  }
  return { id, files };
}

describe('past revisions', () => {
  test('each is what the file was then, from the baseline or from the tables', async () => {
    const { id, files } = await withHistory(7);
    for (const [revision, file] of files.entries()) expect(await fileAt(id, revision)).toBe(file);
  });

  test('are listed newest first, and further back from a number', async () => {
    const { id } = await withHistory(4);
    const list = async (query = '') =>
      (await server.http.get(`/api/projects/${id}/revisions${query}`).expect(200)).body as RevisionView[];
    expect((await list()).map((r) => [r.revision, r.label])).toEqual([
      [4, 'Rename to Plant4'],
      [3, 'Rename to Plant3'],
      [2, 'Rename to Plant2'],
      [1, 'Rename to Plant1'],
    ]);
    expect((await list('?before=3')).map((r) => r.revision)).toEqual([2, 1]);
    const times = (await list()).map((r) => new Date(r.made).getTime());
    expect([...times].sort((a, b) => b - a)).toEqual(times);
  });

  test('that are not there are told with those that are', async () => {
    const { id } = await withHistory(1);
    const { body } = await server.http.get(`/api/projects/${id}/revisions/9`).expect(404);
    expect((body as { message: string }).message).toContain('the newest is 1');
    await server.http.get(`/api/projects/${id}/revisions/soon`).expect(400);
  });
});

test('a migration of bodies writes a baseline, from which the journal leads to the tables', async () => {
  const { id, files } = await withHistory(2);
  await server.database.transaction((manager) =>
    migrateBodies(manager, 'station', (station) => ({ ...station, comment: 'moved on' })),
  );
  await commit(server, id, rename('r3', 'Plant2', 'Plant3')).expect(201);
  const now = await fileOf(server, id);
  expect(now).toContain('moved on');
  expect(await fileAt(id, 3)).toBe(now);
  expect(await fileAt(id, 2)).toContain('moved on');
  // What was before the migration stays as it was.
  expect(await fileAt(id, 1)).toBe(files[1]);
});

describe('copies', () => {
  test('a copy has all of the project under its own name, and goes its own way', async () => {
    const { id, files } = await withHistory(2);
    const { body } = await server.http.post(`/api/projects/${id}/copies`).send({ name: 'A copy' }).expect(202);
    const { project } = await jobEnd(server, (body as JobStarted).job);
    const read = readProject(files[2]!);
    const named = read.ok && read.project.info.name;
    expect(await fileOf(server, project!)).toBe(files[2]!.replace(`"name": "${named}"`, '"name": "A copy"'));
    await commit(server, project!, rename('own', 'Plant2', 'Elsewhere')).expect(201);
    expect(await fileOf(server, id)).toBe(files[2]);
    expect(await fileAt(project!, 0)).toContain('"A copy"');
  });

  test('of nothing is refused', async () => {
    await server.http.post('/api/projects/nobody/copies').send({ name: 'A copy' }).expect(404);
  });
});

describe('long work', () => {
  const large = async (): Promise<Buffer> => {
    const file = JSON.parse(await fileOf(server, await newDemo(server))) as { lanes: object[] };
    for (let i = 0; i < 30_000; i++) file.lanes.push({ id: `l${i}`, order: i, exchange: 'duty', items: {} });
    return Buffer.from(JSON.stringify(file));
  };

  test('says how far it is, and leaves no half when it is stopped', async () => {
    const projects = async () => ((await server.http.get('/api/projects')).body as unknown[]).length;
    const file = await large();
    const before = await projects();
    const { body } = await server.http
      .post('/api/imports')
      .set('Content-Type', 'application/octet-stream')
      .send(file)
      .expect(202);
    const { job } = body as JobStarted;
    let seen: JobView | null = null;
    while (!seen || (seen.state === 'running' && seen.total === 0)) {
      seen = (await server.http.get(`/api/jobs/${job}`).expect(200)).body as JobView;
    }
    expect(seen.total).toBeGreaterThan(30_000);
    await server.http.delete(`/api/jobs/${job}`).expect(202);
    const end = await jobEnd(server, job);
    expect(end).toMatchObject({ state: 'stopped', project: null });
    expect(await projects()).toBe(before);
    const left: { n: string }[] = await server.database.query("SELECT COUNT(*) AS n FROM entity WHERE id = 'l0'");
    expect(left[0]!.n).toBe('0');
  });

  test('goes through where nobody stops it', async () => {
    const { project, state } = await imported(server, await large());
    expect(state).toBe('done');
    const { body } = await server.http.get(`/api/projects/${project}`).expect(200);
    expect((body as { lanes: unknown[] }).lanes.length).toBeGreaterThan(30_000);
  });

  describe('whose process is gone', () => {
    const insert = (id: string) =>
      server.database.query(
        `INSERT INTO job (id, kind, state, step, done, total, stop, beat)
         VALUES (?, 'import', 'running', 'storing', 1, 2, 0, UTC_TIMESTAMP(3) - INTERVAL 3 DAY)`,
        [id],
      );
    const state = async (id: string) => ((await server.http.get(`/api/jobs/${id}`).expect(200)).body as JobView).state;

    test('is told as failed once nothing of it changed for half a minute, whatever the clock says', async () => {
      await insert('lost');
      expect(await state('lost')).toBe('running');
      const now = performance.now();
      const clock = jest.spyOn(performance, 'now').mockImplementation(() => now + 31_000);
      try {
        expect(await state('lost')).toBe('failed');
        await server.database.query('UPDATE job SET beat = UTC_TIMESTAMP(3) - INTERVAL 2 DAY WHERE id = ?', ['lost']);
        expect(await state('lost')).toBe('running');
      } finally {
        clock.mockRestore();
      }
      await server.http.get('/api/jobs/nothing').expect(404);
    });

    test('a job that runs is not taken out when the clock of the database jumps', async () => {
      await insert('jumped');
      await server.http
        .post(`/api/projects/${await newDemo(server)}/copies`)
        .send({ name: 'Another' })
        .expect(202);
      expect(await state('jumped')).toBe('running');
    });
  });
});
