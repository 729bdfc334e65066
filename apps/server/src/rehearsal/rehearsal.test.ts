import { connect } from 'node:net';
import ModbusRTU from 'modbus-serial';
import { set } from '@dialoga/core/change';
import { loadProject } from '../database/stored-project.js';
import { commit, newDemo, testServer, type TestServer } from '../testing/server.testing.js';
import type { LinkView, RehearsalState, RehearsalView } from './rehearsal.dto.js';

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
  await server.http.get(at(project)).expect(200, { running: null, elsewhere: null });
  const begun = await start(project);
  expect(begun).toMatchObject({ by: 'Ada', revision: 0, cuts: [], driven: [] });
  const skid = begun.standings.find(({ name }) => name === 'SkidCtl')!;
  expect(skid.planned).toBe('10.48.10.12:502');

  const pressures = lane(await links(project), 'pressures');
  expect([pressures.source, pressures.sink]).toEqual(['SkidCtl', 'PlantCtl']);
  const [first] = pressures.values;
  const driven = (await doIt(project, { what: 'set', id: pressures.id, key: first!.key, text: '2.31' }).expect(200))
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
  // A load stops a controller, and somebody starts it again; a panel goes on by itself.
  const load = async (id: string) =>
    ((await doIt(project, { what: 'load', id }).expect(200)).body as RehearsalView).stopped;
  expect([await load('skidctl'), await load('dockpanel')]).toEqual([['skidctl'], ['skidctl']]);
  await doIt(project, { what: 'start', id: 'skidctl' }).expect(200);
  await server.http.delete(at(project)).expect(204);
});

test.each([
  [{ what: 'explode', id: 'x' }, 'must be one of'],
  [{ what: 'cut', id: 'none' }, 'There is no such network or port.'],
  [{ what: 'join', id: 'plant-lan' }, 'That is not cut.'],
  [{ what: 'stop', id: 'none' }, 'There is no such station.'],
  [{ what: 'load', id: 'none' }, 'There is no such station.'],
  [{ what: 'set', id: 'none', text: '1' }, 'No data goes there any more.'],
  [{ what: 'set', id: 'permissives 0' }, 'It takes a value to set.'],
  [{ what: 'set', id: 'permissives 0', text: '70000' }, '70000 does not go into WORD.'],
  [{ what: 'set', id: 'permissives 0', text: 'much' }, '“much” cannot be set; a number is set'],
  [{ what: 'set', id: 'alarm-text 0', text: 'x'.repeat(40) }, 'has 40 characters, STRING[30] takes 30.'],
  [{ what: 'set', id: 'status 0', text: 'echo Nothing' }, 'Nothing called “Nothing” comes to SkidCtl; there comes '],
  [{ what: 'hand over', id: 'none', text: '' }, 'There is no such station.'],
  [{ what: 'hand over', id: 'skidctl', text: '10.48.10.12:502' }, '10.48.10.12 is not this computer'],
  [{ what: 'pace', id: '', value: -1 }, 'Time goes 0 to 10 times as fast as outside.'],
  [{ what: 'pace', id: '' }, 'Time goes 0 to 10 times as fast as outside.'],
  [{ what: 'step', id: '', value: 10 }, 'Time goes on by itself'],
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

test('time stands, goes step by step and slowly, and on again', async () => {
  const project = await newDemo(server, 'kestrel-quay-as-agreed');
  await start(project);
  const now = async () => ((await server.http.get(at(project))).body as RehearsalState).running!.now;
  const stands = (await doIt(project, { what: 'pace', id: '', value: 0 }).expect(200)).body as RehearsalView;
  expect([stands.pace, await now()]).toEqual([0, stands.now]);
  const next = (await doIt(project, { what: 'step', id: '', value: 250 }).expect(200)).body as RehearsalView;
  expect([next.now, await now()]).toEqual([stands.now + 250, stands.now + 250]);
  // While it stands something is sent all the same, out of turn.
  const pressures = lane(await links(project), 'pressures');
  const { key } = pressures.values[0]!;
  const driven = (
    await doIt(project, { what: 'set', id: pressures.id, key, text: 'ramp 3.5 to 4 in 100 min' }).expect(200)
  ).body as RehearsalView;
  expect(driven.driven).toMatchObject([{ does: 'ramp 3.5 to 4 in 6000 s' }]);
  await doIt(project, { what: 'send', id: pressures.id }).expect(200);
  await doIt(project, { what: 'step', id: '', value: 0.001 }).expect(200);
  await until(
    () => links(project),
    (all) => lane(all, 'pressures').values[0]!.has === '3.5',
  );
  await doIt(project, { what: 'pace', id: '', value: 0.01 }).expect(200);
  await until(now, (at) => at > next.now);
  await server.http.delete(at(project)).expect(204);
});

test('an edit under a running rehearsal restarts only what it touches', async () => {
  const project = await newDemo(server, 'kestrel-quay-as-agreed');
  await start(project);
  const pressures = lane(await links(project), 'pressures');
  const [{ key }] = pressures.values as [LinkView['values'][number]];
  await doIt(project, { what: 'set', id: pressures.id, key, text: '2.31' }).expect(200);
  await doIt(project, { what: 'stop', id: 'evaphead' }).expect(200);
  await until(
    () => links(project),
    (all) => lane(all, 'pressures').values[0]!.has === '2.31',
  );
  const ports = async () => ((await server.http.get(at(project))).body as RehearsalState).running!;
  const before = await ports();
  // The status is asked for four words further on: it begins anew, all else goes on.
  const told = [...(await loadProject(server.database.manager, project)).all('claim')].find(
    (claim) => claim.lane === 'status' && claim.toldPlace,
  )!;
  const changes = [set('claim', told, ['toldPlace'], 'w1300')];
  await commit(server, project, { id: 'further', label: 'further on', changes }).expect(201);
  const after = await until(ports, ({ revision }) => revision > before.revision);
  expect(after.standings).toEqual(before.standings);
  expect([after.stopped, after.driven, after.now >= before.now]).toEqual([['evaphead'], before.driven, true]);
  const there = await links(project);
  expect(lane(there, 'pressures')).toMatchObject({ stopped: null, values: [{ has: '2.31' }, {}, {}] });
  expect(lane(there, 'pressures').age).not.toBeNull();
  await server.http.delete(at(project)).expect(204);
});

test('another program takes a station’s part', async () => {
  const project = await newDemo(server, 'kestrel-quay-as-agreed');
  const begun = await start(project);
  const handed = (await doIt(project, { what: 'hand over', id: 'skidctl', text: '127.0.0.1:1' }).expect(200))
    .body as RehearsalView;
  expect(handed.outside).toEqual([{ station: 'skidctl', at: '127.0.0.1:1' }]);
  expect(handed.standings).toHaveLength(begun.standings.length - 1);
  await until(
    () => links(project),
    (all) => (lane(all, 'pressures').stopped ?? '').includes('no answer from 127.0.0.1:1'),
  );
  const back = (await doIt(project, { what: 'take back', id: 'skidctl' }).expect(200)).body as RehearsalView;
  expect([back.outside, back.standings]).toEqual([[], begun.standings]);
  await until(
    () => links(project),
    (all) => lane(all, 'pressures').stopped === null,
  );
  await server.http.delete(at(project)).expect(204);
});

test('two starts at once leave one rehearsal; other processes see which runs it, and that it ended', async () => {
  const other = await testServer(server);
  const project = await newDemo(server, 'kestrel-quay-as-agreed');
  const both = await Promise.all([1, 2].map(() => other.http.post(at(project)).send({ author: 'Ada' }).expect(201)));
  const [first, second] = both.map(({ body }) => (body as RehearsalView).standings.map(({ typed }) => typed));
  // The first one gave its ports up: the second has the same.
  expect(first).toEqual(second);
  const elsewhere = async () => (await server.http.get(at(project)).expect(200)).body as RehearsalState;
  expect(await elsewhere()).toMatchObject({ running: null, elsewhere: { by: 'Ada', isOver: false } });
  expect((await elsewhere()).elsewhere!.process).toContain(`process ${process.pid} on `);
  await other.close();
  expect(await elsewhere()).toMatchObject({ running: null, elsewhere: { by: 'Ada', isOver: true } });
  await start(project);
  expect((await elsewhere()).elsewhere).toBeNull();
  await server.http.delete(at(project)).expect(204);
  expect(await elsewhere()).toEqual({ running: null, elsewhere: null });
});
