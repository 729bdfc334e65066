import { connect } from 'node:net';
import ModbusRTU from 'modbus-serial';
import { newDemo, testServer, type TestServer } from '../testing/server.testing.js';
import type { LinkView, RehearsalView } from './rehearsal.dto.js';

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
  await server.app.listen(0, '127.0.0.1');
});
afterAll(() => server.close());

const at = (project: string, path = '') => `/api/projects/${project}/rehearsal${path}`;
const start = async (project: string): Promise<RehearsalView> =>
  (await server.http.post(at(project)).send({ author: 'Ada' }).expect(201)).body as RehearsalView;
const doIt = (project: string, what: object) => server.http.post(at(project, '/do')).send(what);
const links = async (project: string): Promise<LinkView[]> =>
  (await server.http.get(at(project, '/exchanges/duty')).expect(200)).body as LinkView[];

/** Asks until it is so; the plant runs in real time. */
async function until<T>(ask: () => Promise<T>, is: (value: T) => boolean): Promise<T> {
  for (let asked = 0; asked < 400; asked++) {
    const value = await ask();
    if (is(value)) return value;
  }
  throw new Error(`it never came: ${JSON.stringify(await ask())}`);
}
const lane = (all: readonly LinkView[], id: string) => all.find((link) => link.lane === id)!;

test('a project runs on stand-ins: what is set at the one end stands at the other, and other programs read it', async () => {
  const project = await newDemo(server, 'kestrel-quay-as-agreed');
  await server.http.get(at(project)).expect(200, { running: null });
  const begun = await start(project);
  expect(begun).toMatchObject({ by: 'Ada', revision: 0, cuts: [], driven: [] });
  const skid = begun.standings.find(({ name }) => name === 'SkidCtl')!;
  expect(skid.planned).toBe('10.48.10.12:502');

  const pressures = lane(await links(project), 'pressures');
  expect([pressures.source, pressures.sink]).toEqual(['SkidCtl', 'PlantCtl']);
  const [first] = pressures.values;
  const driven = (await doIt(project, { what: 'set', id: pressures.id, key: first!.key, value: 2.31 }).expect(200))
    .body as RehearsalView;
  expect(driven.driven).toMatchObject([{ link: pressures.id, key: first!.key }]);
  const there = await until(
    () => links(project),
    (all) => lane(all, 'pressures').values[0]!.has === '2.31',
  );
  expect(lane(there, 'pressures')).toMatchObject({ stopped: null, sourceBelieves: 'link up', statusSays: 'present' });

  // A stranger sets a permissive at the skid, which asks for nothing of that.
  const [host, port] = skid.typed.split(':');
  const client = new ModbusRTU();
  await client.connectTCP(host!, { port: Number(port) });
  await client.writeRegister(1260, 17);
  await until(
    () => links(project),
    (all) => lane(all, 'status').values[0]!.has.startsWith('16#0011'),
  );
  await new Promise<void>((resolve) => client.close(() => resolve()));
  await server.http.delete(at(project)).expect(204);
  await expect(
    new Promise((resolve, reject) => connect(Number(port), host).once('connect', resolve).once('error', reject)),
  ).rejects.toMatchObject({ code: 'ECONNREFUSED' });
});

test('a cut shows three truths, and is refused twice; a station is stopped and started', async () => {
  const project = await newDemo(server, 'kestrel-quay-as-agreed');
  await start(project);
  await until(
    () => links(project),
    (all) => lane(all, 'pressures').age !== null,
  );
  await doIt(project, { what: 'cut', id: 'plant-lan' }).expect(200);
  const twice = await doIt(project, { what: 'cut', id: 'plant-lan' }).expect(400);
  expect((twice.body as { message: string }).message).toBe('Plant LAN is cut already.');
  const cut = await until(
    () => links(project),
    (all) => lane(all, 'pressures').stopped !== null,
  );
  expect(lane(cut, 'pressures').stopped).toBe('Plant LAN is cut');
  await doIt(project, { what: 'join', id: 'plant-lan' }).expect(200);
  await until(
    () => links(project),
    (all) => lane(all, 'pressures').stopped === null,
  );
  const stopped = (await doIt(project, { what: 'stop', id: 'skidctl' }).expect(200)).body as RehearsalView;
  expect(stopped.stopped).toEqual(['skidctl']);
  await until(
    () => links(project),
    (all) => lane(all, 'pressures').stopped === 'SkidCtl is stopped',
  );
  await doIt(project, { what: 'start', id: 'skidctl' }).expect(200);
  await server.http.delete(at(project)).expect(204);
});

test.each([
  [{ what: 'explode', id: 'x' }, 'must be one of'],
  [{ what: 'cut', id: 'none' }, 'There is no such network or port.'],
  [{ what: 'join', id: 'plant-lan' }, 'That is not cut.'],
  [{ what: 'stop', id: 'none' }, 'There is no such station.'],
  [{ what: 'set', id: 'none', value: 1 }, 'No data goes there any more.'],
  [{ what: 'set', id: 'permissives 0' }, 'It takes a value to set.'],
  [{ what: 'set', id: 'permissives 0', value: 70_000 }, '70000 does not go into WORD.'],
  [{ what: 'set', id: 'alarm-text 0', value: 1 }, 'A stimulus is for a number or a bit that somebody sends.'],
])('%j is refused with a sentence', async (asked, sentence) => {
  const project = await newDemo(server, 'kestrel-quay-as-agreed');
  await start(project);
  const { body } = await doIt(project, asked).expect(400);
  expect(JSON.stringify(body)).toContain(sentence);
  await server.http.delete(at(project)).expect(204);
});

test('a project that is deleted ends its rehearsal', async () => {
  const project = await newDemo(server, 'kestrel-quay-as-agreed');
  await start(project);
  await server.http.delete(`/api/projects/${project}`).send({ name: 'Kestrel Quay, as agreed' }).expect(204);
  await server.http.get(at(project)).expect(404);
});
