import { execFileSync, spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { cpSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { createServer, type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Change, ChangeSet } from '@dialoga/core/change';
import request from 'supertest';
import type { JobView } from '../jobs/job.dto.js';
import { ownDatabase } from './server.testing.js';

/**
 * A kind is one file and one line: a copy of the core and the server, with a kind more, is built and started, and does
 * with it all that it does with any other.
 */
const ROOT = join(__dirname, '../../../..');

const MEMO = `
import { AtMost } from './at-most.js';
import { Names } from './declared.js';
import { IsId, IsName, IsOrder } from './fields.js';
import { IsString } from 'class-validator';

/** A sheet that somebody pins to a station. */
export class Memo {
  @IsId() id!: string;
  @IsOrder() order!: number;
  @IsName() name!: string;
  @IsId() @Names('station', 'it goes') about!: string;
  @IsString() @AtMost(30) says!: string;
}
`;

let copy: string;
let server: ChildProcess;
let http: ReturnType<typeof request>;
let drop: () => Promise<void>;

beforeAll(async () => {
  copy = mkdtempSync(join(tmpdir(), 'dialoga-kind-'));
  for (const part of ['packages/core', 'packages/standins', 'apps/server']) {
    mkdirSync(join(copy, part), { recursive: true });
    for (const file of readdirSync(join(ROOT, part)).filter(
      (name) => /\.(json|mjs)$/.test(name) && !/build/.test(name),
    ))
      cpSync(join(ROOT, part, file), join(copy, part, file));
    const filter = (path: string) => !/\.(test|testing)\.ts$/.test(path);
    cpSync(join(ROOT, part, 'src'), join(copy, part, 'src'), { recursive: true, filter });
  }
  for (const file of ['package.json', 'tsconfig.base.json']) cpSync(join(ROOT, file), join(copy, file));
  mkdirSync(join(copy, 'node_modules/@dialoga'), { recursive: true });
  for (const name of readdirSync(join(ROOT, 'node_modules')).filter((entry) => entry !== '@dialoga'))
    symlinkSync(join(ROOT, 'node_modules', name), join(copy, 'node_modules', name));
  for (const name of ['core', 'standins'])
    symlinkSync(join(copy, 'packages', name), join(copy, 'node_modules/@dialoga', name));

  const kinds = join(copy, 'packages/core/src/model/kinds.ts');
  writeFileSync(join(copy, 'packages/core/src/model/memo.ts'), MEMO);
  const text = `import { Memo } from './memo.js';\n${readFileSync(kinds, 'utf8')}`;
  writeFileSync(kinds, text.replace('  expectation: Expectation,\n', '  expectation: Expectation,\n  memo: Memo,\n'));

  const run = (program: string, options: string[], cwd = copy) =>
    execFileSync(process.execPath, [join(ROOT, 'node_modules', program), ...options], { cwd, stdio: 'pipe' });
  // Only made, not looked through: the types of all that is copied are checked beside the tests.
  run('typescript/bin/tsc', ['-b', '--noCheck', 'packages/core', 'packages/standins', 'apps/server']);
  run('rolldown/bin/cli.mjs', ['-c', 'rolldown.config.mjs'], join(copy, 'apps/server'));

  const own = await ownDatabase();
  drop = own.drop;
  const port = await freePort();
  const env = { ...process.env, DATABASE_URL: own.databaseUrl, PORT: String(port), DEMO_FOLDER: join(ROOT, 'demo') };
  server = spawn(process.execPath, ['apps/server/dist/main.js'], {
    cwd: copy,
    env: { ...env, LOG_LEVEL: 'silent' },
    stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
  });
  await Promise.race([once(server, 'message'), once(server, 'exit').then(() => Promise.reject(new Error('it ended')))]);
  http = request(`http://127.0.0.1:${port}`);
}, 180_000);

afterAll(async () => {
  if (server.exitCode === null) {
    server.kill();
    await once(server, 'exit');
  }
  await drop();
  rmSync(copy, { recursive: true, force: true });
});

async function freePort(): Promise<number> {
  const asked = createServer().listen(0, '127.0.0.1');
  await once(asked, 'listening');
  const { port } = asked.address() as AddressInfo;
  asked.close();
  await once(asked, 'close');
  return port;
}

const station = { id: 's1', order: 10, name: 'Pump', roles: ['controller'], profile: null, party: 'own' };
const memo = { id: 'm1', order: 10, name: 'Note', about: 's1', says: 'mind the gap' };
const put = (kind: string, entity: { id: string }) => ({ kind, id: entity.id, path: [], after: entity }) as unknown;
const set = (id: string, ...changes: unknown[]) => ({ id, label: id, changes: changes as Change[] }) as ChangeSet;

async function withMemo(): Promise<string> {
  const { id } = (await http.post('/api/projects').send({ name: 'Kinds' }).expect(201)).body as { id: string };
  await http
    .post(`/api/projects/${id}/changes`)
    .send(set('c1', put('station', station), put('memo', memo)))
    .expect(201);
  return id;
}
const fileOf = async (id: string) => (await http.get(`/api/projects/${id}/file`).expect(200)).text;

/** What a program says that has the core of the copy, with the kind more. */
const inCore = (program: string): unknown =>
  JSON.parse(
    execFileSync(process.execPath, ['--input-type=module', '-e', program], { cwd: copy, encoding: 'utf8' }),
  ) as unknown;

test('it is stored, exported, and imported again as the same bytes', async () => {
  const file = await fileOf(await withMemo());
  expect(file).toContain(
    '"memos": [\n    {\n      "id": "m1",\n      "order": 10,\n      "name": "Note",\n      "about": "s1",\n      "says": "mind the gap"\n    }\n  ]',
  );
  const { body } = await http
    .post('/api/imports')
    .set('Content-Type', 'application/octet-stream')
    .send(Buffer.from(file))
    .expect(202);
  let job: JobView;
  do job = (await http.get(`/api/jobs/${(body as { job: string }).job}`).expect(200)).body as JobView;
  while (job.state === 'running');
  expect(await fileOf(job.project!)).toBe(file);
});

test.each([
  ['a text that is too long', { ...memo, says: 'x'.repeat(31) }, 422, 'must have at most 30 characters'],
  ['a field that it has not', { ...memo, colour: 'red' }, 422, 'is no field of it'],
  ['a station that is not there', { ...memo, about: 's9' }, 409, 'there is no station'],
])('it is validated: %s', async (_, wrong, status, sentence) => {
  const id = await withMemo();
  const { text } = await http
    .post(`/api/projects/${id}/changes`)
    .send(set('c2', put('memo', { ...wrong, id: 'm2' })))
    .expect(status);
  expect(text).toContain(sentence);
});

test('other windows hear of it, and it can be taken back', async () => {
  const id = await withMemo();
  const news = (await http.get(`/api/projects/${id}/changes?since=0`).expect(200)).text;
  expect(news).toContain('"says":"mind the gap"');
  await http
    .post(`/api/projects/${id}/changes`)
    .send(set('back', { kind: 'memo', id: 'm1', path: [], before: memo }))
    .expect(201);
  expect(await fileOf(id)).toContain('"memos": []');
  const past = (await http.get(`/api/projects/${id}/revisions/1`).expect(200)).body as { memos: unknown[] };
  expect(past.memos).toEqual([memo]);
});

test('it goes with the station that it names, is in the schema, and its texts have their longest', () => {
  const told = inCore(`
    import { Project, kindWord } from '@dialoga/core/model';
    import { dropWithDependents, tooLong } from '@dialoga/core/change';
    import { projectFileSchema } from '@dialoga/core/schema';
    const project = Project.of({ station: [${JSON.stringify(station)}], memo: [${JSON.stringify(memo)}] });
    console.log(JSON.stringify([
      dropWithDependents(project, 'station', 's1').map(({ kind }) => kind),
      projectFileSchema().properties.memos,
      tooLong({ kind: 'memo', id: 'm1', path: ['says'], after: 'x'.repeat(31) }),
      kindWord('memo'),
    ]));`);
  expect(told).toEqual([
    ['memo', 'station'],
    { type: 'array', items: { $ref: '#/$defs/Memo' } },
    '“xxxxxxxxxxxxxxxxxxxx…” has 31 characters; “says” of a memo takes at most 30',
    'memo',
  ]);
});
