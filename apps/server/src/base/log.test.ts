import { mkdtempSync, readdirSync, readFileSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { openLog } from './log.js';
import { commit, newSmall, testServer } from '../testing/server.testing.js';

const folder = mkdtempSync(join(tmpdir(), 'dialoga-log-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));
const written = () =>
  readdirSync(folder)
    .map((name) => readFileSync(join(folder, name), 'utf8'))
    .join('');

test('it has ids and codes, and nothing of what people typed, sent or are called; and all of it when it is closed', async () => {
  const { log, close } = openLog('info', folder);
  const server = await testServer(undefined, {}, log);
  const id = await newSmall(server);
  const secret = 'Confidential-7fd1';
  const change = { kind: 'station', id: 'plantctl', path: ['comment'], before: secret, after: secret } as const;
  await commit(server, id, { id: 'a', label: secret, changes: [change] }).expect(409);
  await server.http.get(`/api/projects/${id}/changes?since=${secret}`).expect(400);
  await server.database.query('RENAME TABLE journal TO journal_away');
  const sent = { id: 'b', label: secret, author: secret, changes: [{ ...change, path: ['name'], before: 'PlantCtl' }] };
  const failed = await server.http.post(`/api/projects/${id}/changes`).set('User-Agent', secret).send(sent).expect(500);
  await server.database.query('RENAME TABLE journal_away TO journal');
  await server.close();
  await close();
  const lines = written()
    .trim()
    .split('\n')
    .map((line) => JSON.parse(line) as Record<string, unknown>);
  expect(lines.length).toBeGreaterThan(5);
  const request = failed.headers['x-request-id'];
  const fault = lines.find((line) => line.msg === 'request failed');
  expect(fault).toMatchObject({ request, code: 'ER_NO_SUCH_TABLE', type: 'QueryFailedError' });
  expect(String(fault!.at)).toContain('commit');
  expect(lines.some((line) => (line.req as { id?: string } | undefined)?.id === request)).toBe(true);
  for (const word of [
    secret,
    'SELECT',
    'INSERT',
    'journal_part',
    'PlantCtl',
    '?since',
    new URL(server.databaseUrl).password,
  ]) {
    expect(written()).not.toContain(word);
  }
});

test('its files are few and private, and none grows for ever', async () => {
  const outside = mkdtempSync(join(tmpdir(), 'dialoga-log-'));
  const own = join(outside, 'log');
  const { log, close } = openLog('info', own);
  const line = 'x'.repeat(100_000);
  for (let i = 0; i < 400; i++) log.info(line);
  await close();
  const files = readdirSync(own).filter((name) => !name.startsWith('.'));
  const sizes = files.map((name) => statSync(join(own, name)).size);
  expect(files.length).toBeGreaterThan(1);
  expect(files.length).toBeLessThanOrEqual(6);
  expect(Math.max(...sizes)).toBeLessThan(12_000_000);
  expect(statSync(own).mode & 0o077).toBe(0);
  rmSync(outside, { recursive: true, force: true });
});
