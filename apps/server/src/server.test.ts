import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { apply, type Change, type ChangeSet } from '@dialoga/core/change';
import { CheckEngine, tallyOf } from '@dialoga/core/check';
import { SECTION_OF, writeProject } from '@dialoga/core/file';
import { Project, KINDS, type Entity, type Kind } from '@dialoga/core/model';
import { readProject } from '@dialoga/core/entry';
import fc from 'fast-check';
import type { JournalEntry } from './database/journal.js';
import type { ProjectSummary } from './projects/project.dto.js';
import {
  commit as commitTo,
  fileOf as fileOfProject,
  imported,
  newDemo,
  testServer,
  type TestServer,
} from './testing/server.testing.js';

const demo = readFileSync(join(__dirname, '../../../demo/kestrel-quay.dialoga.json'), 'utf8');
const asFile = (text: string | Buffer) => Buffer.from(text);

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
  await server.app.listen(0, '127.0.0.1');
});
afterAll(() => server.close());

const summary = (body: unknown) => body as ProjectSummary;
const fresh = () => newDemo(server);
const commit = (project: string, set: ChangeSet) => commitTo(server, project, set);
const rename = (id: string, before: string, after: string): ChangeSet => ({
  id,
  label: 'Rename',
  changes: [{ kind: 'station', id: 'plantctl', path: ['name'], before, after }],
});
const fileOf = (project: string) => fileOfProject(server, project);

describe('projects', () => {
  test('are created, listed, renamed, and deleted with the name typed', async () => {
    const { id } = summary((await server.http.post('/api/projects').send({ name: ' Quay ' }).expect(201)).body);
    await server.http.patch(`/api/projects/${id}`).send({ name: 'North quay' }).expect(200);
    const list = (await server.http.get('/api/projects').expect(200)).body as ProjectSummary[];
    expect(list.find((p) => p.id === id)).toMatchObject({ name: 'North quay', revision: 1 });
    expect(readProject(await fileOf(id))).toMatchObject({ ok: true, project: { info: { name: 'North quay' } } });
    const wrong = await server.http.delete(`/api/projects/${id}`).send({ name: 'north quay' }).expect(400);
    expect((wrong.body as { message: string }).message).toContain('type “North quay” to delete it');
    await server.http.delete(`/api/projects/${id}`).send({ name: 'North quay' }).expect(204);
    await server.http.get(`/api/projects/${id}`).expect(404);
    const left: unknown = await server.database.query('SELECT COUNT(*) AS n FROM entity WHERE project = ?', [id]);
    expect(left).toEqual([{ n: '0' }]);
  });

  test('count their findings', async () => {
    const id = await fresh();
    const ask = async () => summary((await server.http.get(`/api/projects/${id}/tally`).expect(200)).body);
    // It answers before a long counting is through, and goes on with it.
    let counted = await ask();
    for (let asked = 1; counted.tally === null && asked < 20; asked++) counted = await ask();
    // The server counts what a check in the core counts.
    const read = readProject(demo);
    expect(read.ok && counted.tally).toEqual(read.ok && tallyOf(new CheckEngine(read.project).findings.values()));
  });

  test('open at their newest revision', async () => {
    const id = await fresh();
    await commit(id, rename('r1', 'PlantCtl', 'Plant')).expect(201);
    const body = (await server.http.get(`/api/projects/${id}`).expect(200)).body as Record<string, Entity[]>;
    expect(body.revision).toBe(1);
    const entities = Object.fromEntries(KINDS.map((kind) => [kind, body[SECTION_OF[kind]]])) as Partial<
      Record<Kind, Entity[]>
    >;
    expect(writeProject(Project.of(entities))).toBe(demo.replace('"name": "PlantCtl"', '"name": "Plant"'));
  });
});

describe('project files', () => {
  test('come back byte for byte', async () => {
    const { project } = await imported(server, asFile(demo));
    expect(await fileOf(project!)).toBe(demo);
  });

  test.each([
    ['not JSON', asFile('{"format":'), 'line 1, column 11'],
    ['a newer version', asFile('{"format":"dialoga-project","version":7}'), 'reads versions up to 1'],
    [
      'a dangling reference',
      asFile(demo.replaceAll('"profile": "profile-plant"', '"profile": "gone"')),
      'must be the id of a profile',
    ],
    ['an id used twice', asFile(demo.replaceAll('"id": "dockpanel"', '"id": "plantctl"')), 'is taken by a station'],
    ['50 MB of nothing', Buffer.alloc(50_000_000, ' '), 'the file must be JSON'],
  ])('%s is refused with its place; nothing is stored', async (_, body, words) => {
    const before = ((await server.http.get('/api/projects')).body as unknown[]).length;
    const job = await imported(server, body);
    expect(job.state).toBe('failed');
    expect(JSON.stringify(job)).toContain(words);
    expect((await server.http.get('/api/projects')).body).toHaveLength(before);
  });

  test('a file that is not UTF-8 is refused, with the place', async () => {
    const job = await imported(server, Buffer.from([0x7b, 0xff, 0xfe, 0x7d]));
    expect(job).toMatchObject({ state: 'failed', message: 'The file is not UTF-8; nothing was stored.' });
    expect(job.problems).toMatchObject([{ where: 'line 1, column 2' }]);
  });

  test('a large project survives the database’s packets', async () => {
    const tree = JSON.parse(demo) as {
      claims: { id: string; comment?: string; items: object }[];
      lanes: object[];
      stations: { comment: string }[];
    };
    tree.stations[0]!.comment = '❄'.repeat(4000);
    const claims = Array.from({ length: 3000 }, (_, i) => ({ ...tree.claims[0]!, id: `copy${i}`, lane: `lane${i}` }));
    const lanes = Array.from({ length: 3000 }, (_, i) => ({ id: `lane${i}`, order: i, exchange: 'duty', items: {} }));
    const before = tree.claims.length;
    tree.claims.push(...claims);
    tree.lanes.push(...lanes);
    const { project } = await imported(server, asFile(JSON.stringify(tree)));
    const read = readProject(await fileOf(project!));
    expect(read.ok && read.project.count('claim')).toBe(before + 3000);
  });
});

describe('change sets', () => {
  test('sent twice count once', async () => {
    const id = await fresh();
    const first = await commit(id, rename('same', 'PlantCtl', 'Plant')).expect(201);
    const again = await commit(id, rename('same', 'PlantCtl', 'Plant')).expect(201);
    expect(again.body).toEqual(first.body);
    expect((await server.http.get(`/api/projects/${id}/changes?since=0`)).body).toHaveLength(1);
  });

  test('meet another value: 409 with both', async () => {
    const id = await fresh();
    await commit(id, rename('a', 'PlantCtl', 'Mine')).expect(201);
    const { body } = await commit(id, rename('b', 'PlantCtl', 'Theirs')).expect(409);
    expect(body).toMatchObject({ refusal: { code: 'conflict', stored: 'Mine', change: { after: 'Theirs' } } });
  });

  test('to both ends of one lane do not collide', async () => {
    const id = await fresh();
    const field = (set: string, claim: string, before: string): ChangeSet => ({
      id: set,
      label: '',
      changes: [{ kind: 'claim', id: claim, path: ['name'], before, after: `${before}!` }],
    });
    await Promise.all([
      commit(id, field('left', 'pressures-plant', 'Pressures')).expect(201),
      commit(id, field('right', 'pressures-skid', 'Press')).expect(201),
    ]);
  });

  test('are whole or not at all', async () => {
    const id = await fresh();
    const set = rename('half', 'PlantCtl', 'Plant');
    const bad: Change = { kind: 'station', id: 'plantctl', path: ['party'], before: 'own', after: 'nobody' };
    const answer = await commit(id, { ...set, changes: [...set.changes, bad] }).expect(422);
    expect(answer.body).toMatchObject({ problems: [{ where: 'station plantctl, party' }] });
    expect(await fileOf(id)).toBe(demo);
  });

  test('that drop what others depend on are refused, and say who', async () => {
    const id = await fresh();
    const read = readProject(demo);
    const station = read.ok && read.project.get('station', 'busbridge');
    const { body } = await commit(id, {
      id: 'drop',
      label: '',
      changes: [{ kind: 'station', id: 'busbridge', path: [], before: station as never }],
    }).expect(409);
    expect(JSON.stringify(body)).toContain(
      'port port-busbridge, port port-busbridge-defrost-bus, placeholder station helper-busbridge depend on it',
    );
  });

  test('of another project’s entities find nothing there', async () => {
    const { id } = summary((await server.http.post('/api/projects').send({ name: 'Empty' })).body);
    await commit(id, rename('x', 'PlantCtl', 'Plant')).expect(409);
  });

  test('of ten thousand changes, and their replay from the journal, give the tables', async () => {
    const id = await fresh();
    const lanes = Array.from({ length: 10_000 }, (_, i): Change => ({
      kind: 'lane',
      id: `many${i}`,
      path: [],
      after: { id: `many${i}`, order: i, exchange: 'duty', items: {} },
    }));
    await commit(id, { id: 'many', label: 'Many', changes: lanes }).expect(201);
    await commit(id, rename('then', 'PlantCtl', 'Plant')).expect(201);
    const baseline: { body: string }[] = await server.database.query(
      'SELECT body FROM baseline WHERE project = ? ORDER BY part',
      [id],
    );
    const start = readProject(baseline.map((p) => p.body).join(''));
    if (!start.ok) throw new Error('the baseline cannot be read');
    let { project } = start;
    const journal = (await server.http.get(`/api/projects/${id}/changes?since=0`)).body as JournalEntry[];
    for (const { set } of journal) {
      const applied = apply(project, set);
      if (!applied.ok) throw new Error(applied.refusal.sentence);
      project = project.with(applied.entities);
    }
    expect(writeProject(project)).toBe(await fileOf(id));
  });

  test('from ten writers at once end in one order, without a gap', async () => {
    const id = await fresh();
    const sets = Array.from({ length: 20 }, (_, i): ChangeSet => ({
      id: `w${i}`,
      label: '',
      changes: [{ kind: 'lane', id: `w${i}`, path: [], after: { id: `w${i}`, order: i, exchange: 'duty', items: {} } }],
    }));
    const answers = await Promise.all(sets.map((set) => commit(id, set).expect(201)));
    const revisions = answers.map((a) => (a.body as { revision: number }).revision).sort((a, b) => a - b);
    expect(revisions).toEqual(sets.map((_, i) => i + 1));
  });
});

test('every open window is told of each new revision', async () => {
  const id = await fresh();
  const stream = await fetch(`${await server.app.getUrl()}/api/events?projects=${id}`);
  const reader = stream.body!.pipeThrough(new TextDecoderStream()).getReader();
  let text = '';
  const until = async (words: string) => {
    while (!text.includes(words)) {
      const { value, done } = await reader.read();
      if (done) throw new Error(`the stream ended after ${text}`);
      text += value;
    }
  };
  await until('"revision":0,"entry":null}');
  const set = rename('told', 'PlantCtl', 'Plant');
  await commit(id, set).expect(201);
  await until(`data: ${JSON.stringify({ project: id, revision: 1, entry: { revision: 1, author: null, set } })}`);
  // One that is large is announced, and fetched.
  const station = { order: 1, roles: [], profile: null, party: 'own' };
  const changes = Array.from({ length: 80 }, (_, i): Change => {
    const made = `large${i}`;
    return { kind: 'station', id: made, path: [], after: { ...station, id: made, name: `${made} ${'x'.repeat(200)}` } };
  });
  const large = { id: 'large', label: 'Large', changes };
  await commit(id, large).expect(201);
  await until(`data: ${JSON.stringify({ project: id, revision: 2, entry: null })}`);
  // Another process writes to the same tables: its revision is seen there.
  await server.database.query('UPDATE project SET revision = 3 WHERE id = ?', [id]);
  await until('"revision":3,"entry":null}');
  await reader.cancel();
});

test('one stream tells of several projects, each by its name; what names none is refused', async () => {
  const [first, second] = [await fresh(), await fresh()];
  const stream = await fetch(`${await server.app.getUrl()}/api/events?projects=${first},${second}`);
  const reader = stream.body!.pipeThrough(new TextDecoderStream()).getReader();
  let text = '';
  const wanted = [`{"project":"${first}","revision":1,"entry":{`, `{"project":"${second}","revision":0,"entry":null}`];
  await commit(first, rename('one', 'PlantCtl', 'Plant')).expect(201);
  while (!wanted.every((words) => text.includes(words))) {
    const { value, done } = await reader.read();
    if (done) throw new Error(`the stream ended after ${text}`);
    text += value;
  }
  await reader.cancel();
  for (const asked of ['', '?projects=', '?projects=1', '?projects=a,,b', '?projects=a&projects=b']) {
    const { body } = await server.http.get(`/api/events${asked}`).expect(400);
    expect((body as { message: string }).message).toContain('?projects=one,other');
  }
});

test('a change set says who made it: in the journal, in the history, and nothing where nobody said so', async () => {
  const id = await fresh();
  await commit(id, { ...rename('signed', 'PlantCtl', 'Plant'), author: ' R. Vale ' } as ChangeSet).expect(201);
  await commit(id, rename('plain', 'Plant', 'PlantCtl')).expect(201);
  await server.http.patch(`/api/projects/${id}`).send({ name: 'Renamed', author: 'M. Ister' }).expect(200);
  const { body: revisions } = await server.http.get(`/api/projects/${id}/revisions`).expect(200);
  const authors = (list: unknown) => (list as { author: string | null }[]).map((r) => r.author);
  expect(authors(revisions)).toEqual(['M. Ister', null, 'R. Vale']);
  const { body: changes } = await server.http.get(`/api/projects/${id}/changes?since=0`).expect(200);
  expect(authors(changes)).toEqual(['R. Vale', null, 'M. Ister']);
  const long = { ...rename('long', 'PlantCtl', 'P'), author: 'n'.repeat(101) } as ChangeSet;
  const { body } = await commit(id, long).expect(400);
  expect(JSON.stringify(body)).toContain('author');
});

describe('bad input is told in a sentence, never a 500', () => {
  const send = (project: string, body: string, type = 'application/json') =>
    server.http.post(`/api/projects/${project}/changes`).set('Content-Type', type).send(body);

  test.each([
    ['{', 'JSON'],
    ['[]', 'The request is invalid'],
    ['{"id":"1","label":"x","changes":[]}', 'must be an id'],
    ['{"id":"a","label":"x","changes":[[]]}', 'must be an object'],
    ['{"id":"a","label":"x","changes":[{"kind":"planet","id":"a","path":[]}]}', 'must be one of project, profile'],
    [
      '{"id":"a","label":"x","changes":[{"kind":"lane","id":"a","path":["__proto__","x"],"after":1}]}',
      'changes.0.path',
    ],
    ['{"id":"a","label":"x","changes":[{"kind":"lane","id":"a","path":[],"after":1,"more":2}]}', 'more'],
  ])('%s', async (body, words) => {
    const answer = await send(await fresh(), body).expect(400);
    expect(JSON.stringify(answer.body)).toContain(words);
  });

  test('a body that is not UTF-8, and 50 MB of nothing', async () => {
    const id = await fresh();
    const url = `${await server.app.getUrl()}/api/projects/${id}/changes`;
    const send = async (body: Buffer) => {
      const answer = await fetch(url, { method: 'POST', headers: { 'Content-Type': 'application/json' }, body });
      return [answer.status, ((await answer.json()) as { message: string }).message];
    };
    const latin = Buffer.from('{"id":"a","label":"Kälte","changes":[]}', 'latin1');
    expect(await send(latin)).toEqual([400, 'The body is not UTF-8; nothing was changed.']);
    expect(await send(Buffer.alloc(50_000_000, ' '))).toEqual([413, 'The body is too large.']);
  });

  test('a change set that uses one new id twice', async () => {
    const lane = {
      kind: 'lane' as const,
      id: 'twice',
      path: [],
      after: { id: 'twice', order: 1, exchange: 'duty', items: {} },
    };
    const { body } = await commit(await fresh(), { id: 's', label: '', changes: [lane, lane] }).expect(409);
    expect((body as { message: string }).message).toContain('this id is taken');
  });

  test('deep nesting is refused', async () => {
    const deep = `${'['.repeat(5000)}${']'.repeat(5000)}`;
    const body = `{"id":"a","label":"x","changes":[{"kind":"lane","id":"a","path":[],"after":${deep}}]}`;
    await send(await fresh(), body).expect(400);
  });

  test('an unknown project, an unknown address, a method that is none', async () => {
    await server.http.get('/api/projects/nobody').expect(404);
    await server.http.get('/api/nothing').expect(404);
    await commit('nobody', rename('x', 'a', 'b')).expect(404);
    await server.http.get(`/api/projects/${await fresh()}/changes?since=soon`).expect(400);
  });

  test('names: empty, too long, emoji, right to left', async () => {
    await server.http.post('/api/projects').send({ name: '  ' }).expect(400);
    await server.http
      .post('/api/projects')
      .send({ name: 'x'.repeat(501) })
      .expect(400);
    for (const name of ['❄️', 'مستودع', "Robert'); DROP TABLE project;--"]) {
      const { body } = await server.http.post('/api/projects').send({ name }).expect(201);
      expect(summary(body).name).toBe(name);
    }
  });

  test('any JSON as a change set is answered below 500, and leaves the project readable', async () => {
    const id = await fresh();
    const change = fc.record(
      {
        kind: fc.constantFrom('station', 'claim', 'lane', 'project', 'x'),
        id: fc.constantFrom('plantctl', 'pressures-plant', 'project', 'new1'),
        path: fc.oneof(
          fc.constant([]),
          fc.array(fc.constantFrom('name', 'items', 'length', 'count', 'place')),
          fc.jsonValue(),
        ),
        before: fc.jsonValue(),
        after: fc.jsonValue(),
      },
      { requiredKeys: ['kind', 'id'] },
    );
    let n = 0;
    await fc.assert(
      fc.asyncProperty(fc.oneof(fc.array(change, { maxLength: 3 }), fc.jsonValue()), async (changes) => {
        const { status } = await send(id, JSON.stringify({ id: `f${n++}`, label: '', changes }));
        expect(status).toBeLessThan(500);
      }),
      { numRuns: 60 },
    );
    expect(readProject(await fileOf(id)).ok).toBe(true);
  });

  const put = (kind: Kind, fields: object) => ({ kind, id: 'fresh', path: [], after: { id: 'fresh', ...fields } });
  test.each([
    ['nothing as an entity', { kind: 'station', id: 'fresh', path: [], after: null }, 'must be an object'],
    ['a list as an entity', { kind: 'tag', id: 'fresh', path: [], after: [] }, 'must be an object'],
    ['a number as a place', put('claim', { place: 3 }), 'claim fresh, place'],
    ['nothing as what is told', put('end', { told: null }), 'end fresh, told'],
    ['a list as an id', put('port', { station: ['a'] }), 'port fresh, station'],
    [
      'an entity without an id',
      { kind: 'rack', id: 'fresh', path: [], after: {} },
      'an entity keeps its id, and nothing',
    ],
    ['an entity under another id', { ...put('lane', {}), id: 'stale' }, 'an entity keeps its id, and "fresh"'],
    [
      'an id that becomes another',
      { kind: 'station', id: 'plantctl', path: ['id'], before: 'plantctl', after: 'other' },
      'an entity keeps its id, and "other"',
    ],
  ])('%s is refused, with where it is', async (_, change, words) => {
    const id = await fresh();
    const before = await fileOf(id);
    const { status, body } = await send(id, JSON.stringify({ id: 'wrong', label: '', changes: [change] }));
    expect([409, 422]).toContain(status);
    expect(JSON.stringify(body).replaceAll('\\"', '"')).toContain(words);
    expect(await fileOf(id)).toBe(before);
  });

  test('an entity of the demo with any JSON in one of its fields is answered below 500, put or changed', async () => {
    const id = await fresh();
    const read = readProject(await fileOf(id));
    if (!read.ok) throw new Error('the demo cannot be read');
    const { project } = read;
    const all = KINDS.flatMap((kind) => [...project.all(kind)].slice(0, 3).map((entity) => ({ kind, entity })));
    const fields = (entity: Entity) => Object.keys(entity);
    let n = 0;
    await fc.assert(
      fc.asyncProperty(
        fc.constantFrom(...all),
        fc.nat(30),
        fc.oneof(fc.jsonValue(), fc.constantFrom(null, 3, '', [], {}, ['plantctl'], { area: 3 }, { a: null })),
        fc.boolean(),
        async ({ kind, entity }, choice, value, asNew) => {
          const field = fields(entity)[choice % fields(entity).length]!;
          const before = entity[field as 'id'] as Change['before'];
          const change: Change = asNew
            ? { kind, id: `n${n}`, path: [], after: { ...(entity as object), id: `n${n}`, [field]: value } }
            : {
                kind,
                id: entity.id,
                path: [field],
                after: value as Change['after'],
                ...(before === undefined ? {} : { before }),
              };
          const { status } = await send(id, JSON.stringify({ id: `m${n++}`, label: '', changes: [change] }));
          expect(status).toBeLessThan(500);
        },
      ),
      { numRuns: 150 },
    );
    const after = readProject(await fileOf(id));
    expect(after.ok ? [] : after.problems).toEqual([]);
  });
});

test('a migrated database is what the tables say: no drift', async () => {
  const log = await server.database.driver.createSchemaBuilder().log();
  expect(log.upQueries.map((q) => q.query)).toEqual([]);
});

test('health and the description of the interface', async () => {
  await server.http.get('/api/health').expect(200, { ok: true });
  const { body } = await server.http.get('/api/docs-json').expect(200);
  expect(Object.keys((body as { paths: object }).paths)).toContain('/api/projects/{project}/changes');
});
