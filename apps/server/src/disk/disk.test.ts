import { newSmall, testServer } from '../testing/server.testing.js';
import { Disk } from './disk.js';
import { isDiskFull } from './disk-full.js';

test.each([
  ['ER_RECORD_FILE_FULL', {}, true],
  ['ENOSPC', {}, true],
  ['ER_GET_ERRNO', { sqlMessage: 'Got error 28 "No space left on device" from storage engine InnoDB' }, true],
  ['ER_GET_ERRNO', { sqlMessage: 'Got error 168 "Unknown (generic) error from engine" from storage engine' }, false],
  ['ER_DUP_ENTRY', { sqlMessage: "Duplicate entry 'No space left on device 28' for key" }, false],
  [null, {}, false],
])('%s %j: whether there is no room', (code, error, full) => {
  expect(isDiskFull(code, error)).toBe(full);
});

/** A file system of Linux on which nothing is ever free. */
const NO_ROOM = '/proc';

test('a disk without room is told before anything is written, and by the health; what is stored is read', async () => {
  const roomy = await testServer(undefined, { databaseFolder: __dirname });
  const full = await testServer(roomy, { databaseFolder: NO_ROOM });
  try {
    const id = await newSmall(roomy);
    for (const [method, path, body] of [
      ['post', `/api/projects/${id}/changes`, { id: 'a', label: '', changes: [] }],
      ['post', '/api/projects', { name: 'One more' }],
      ['post', '/api/projects/demo', { demo: 'kestrel-quay' }],
      ['post', `/api/projects/${id}/copies`, { name: 'One more' }],
    ] as const) {
      const { body: answer } = await full.http[method](path).send(body).expect(507);
      expect((answer as { message: string }).message).toMatch(/^The disk of the database is full/);
    }
    await full.http.get('/api/health').expect(507);
    await full.http.get(`/api/projects/${id}`).expect(200);
    await roomy.http.get('/api/health').expect(200);
    await roomy.http.post('/api/projects').send({ name: 'One more' }).expect(201);
    await expect(roomy.app.get(Disk).refuseWithoutRoom(1e18)).rejects.toMatchObject({ status: 507 });
  } finally {
    await full.close();
    await roomy.close();
  }
});
