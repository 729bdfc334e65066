import { execFile } from 'node:child_process';
import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { createServer, connect, type Server, type Socket } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { Plant, requestsOf, shownValues, type Link } from '@dialoga/core/rehearse';
import { ServerTCP } from 'modbus-serial';
import { demo, linkOf, until } from './live.testing.js';
import { loopbackAddress, StandIns } from './index.js';

const run = promisify(execFile);

async function live(): Promise<{ plant: Plant; standIns: StandIns }> {
  const plant = new Plant(demo());
  return { plant, standIns: await StandIns.of(plant) };
}
const onWire = (plant: Plant): Link[] => plant.links.filter((link) => plant.carrier!.carries(link));

test('every end that calls Modbus TCP calls through sockets, and what comes is what the plant moves by itself', async () => {
  const { plant, standIns } = await live();
  const links = onWire(plant);
  expect(links.length).toBeGreaterThan(20);
  expect(new Set(links.map(({ exchange }) => exchange.protocol))).toEqual(new Set(['modbus-tcp']));
  const moved = new Plant(plant.project);
  // Another value at each of them, in both plants; a text takes digits, too.
  for (const [i, link] of links.entries()) {
    const there = moved.links.find(({ id }) => id === link.id)!;
    for (const [n, { key }] of shownValues(plant, link).entries()) {
      const typed = String(1 + ((i + n) % 100));
      expect([plant.set(link, key, typed), moved.set(there, key, typed)]).toEqual([null, null]);
    }
  }
  await until(plant, () => links.every(({ answered }) => answered > 0));
  moved.advance(plant.now);
  for (const link of links) {
    const there = moved.links.find(({ id }) => id === link.id)!;
    expect([link.id, link.stopped, shownValues(plant, link)]).toEqual([link.id, null, shownValues(moved, there)]);
  }
  const came = links.flatMap((link) => shownValues(plant, link)).filter(({ has }) => /[1-9]/.test(has));
  expect(came.length).toBeGreaterThan(100);
  await standIns.close();
});

test('a device of others takes a station’s part: whoever called the stand-in calls it', async () => {
  const { plant, standIns } = await live();
  const link = linkOf(plant, 'pressures');
  const { start, count } = requestsOf(plant.project, link)![0]!;
  const asked: number[] = [];
  // [library: modbus-serial]
  const device = new ServerTCP(
    {
      getHoldingRegister: (at: number) => (asked.push(at), at === start + 1 ? 0x4013 : at === start ? 0xd70a : 0),
      setRegister: () => undefined,
    },
    { host: '127.0.0.1', port: 0, unitID: 255 },
  );
  await new Promise((resolve) => device.once('initialized', resolve));
  const { port } = (device as unknown as { _server: Server })._server.address() as { port: number };
  const { station } = link.path.source;
  expect(standIns.standings.map((one) => one.station)).toContain(station.id);
  expect(standIns.hand(station.id, `localhost:${port}`)).toBeNull();
  expect(standIns.standings.map((one) => one.station)).not.toContain(station.id);
  await until(plant, () => shownValues(plant, link)[0]!.has === '2.31');
  expect([link.stopped, asked.includes(start), asked.includes(start + count - 1)]).toEqual([null, true, true]);
  expect(standIns.playedOutside).toEqual([{ station: station.id, at: `localhost:${port}` }]);
  // What it sends is known and set there, and not here.
  expect(shownValues(plant, link)[0]!.sent).toBe('not known here');
  expect(plant.set(link, shownValues(plant, link)[0]!.key, '1')).toContain('is played by another program');
  standIns.takeBack(station.id);
  await until(plant, () => shownValues(plant, link)[0]!.has === '0.0');
  await new Promise<void>((resolve) => device.close(() => resolve()));
  await standIns.close();
});

test('where nobody answers, or only with exceptions, the link says so in words, and it is up again when somebody does', async () => {
  const { plant, standIns } = await live();
  const link = linkOf(plant, 'pressures');
  const { station } = link.path.source;
  // A port that somebody had a moment ago.
  const gone = createServer();
  const port = await new Promise<number>((resolve) =>
    gone.listen(0, '127.0.0.1', () => resolve((gone.address() as { port: number }).port)),
  );
  await new Promise((resolve) => gone.close(resolve));
  standIns.hand(station.id, `127.0.0.1:${port}`);
  await until(plant, () => link.stopped !== null && link.lost !== null);
  expect(link.stopped).toContain(`no answer from 127.0.0.1:${port}`);
  standIns.takeBack(station.id);
  await until(plant, () => link.stopped === null);
  plant.stop(station.id, 'faulted');
  await until(plant, () => link.stopped !== null);
  plant.start(station.id);
  await until(plant, () => link.stopped === null);
  // Only its own calls: whoever calls it finds nobody.
  standIns.hand(station.id, '');
  await until(plant, () => link.stopped !== null);
  expect(link.stopped).toBe('SkidCtl is played by another program');
  await standIns.close();
});

test.each([
  ['10.0.0.1:502', '10.0.0.1 is not this computer'],
  ['example.org:502', 'example.org is not this computer'],
  ['127.0.0.1', 'is no address and port'],
  ['127.0.0.1:0', 'is no address and port'],
  ['127.0.0.1:70000', 'is no address and port'],
  ['127.0.0.300:502', 'is not this computer'],
])('%s is refused: nobody but this computer is ever called', (typed, sentence) => {
  expect(loopbackAddress(typed)).toContain(sentence);
});
test('an address of this computer', () => {
  expect(loopbackAddress(' localhost:1502 ')).toEqual({ host: '127.0.0.1', port: 1502 });
  expect(loopbackAddress('127.9.0.1:502')).toEqual({ host: '127.9.0.1', port: 502 });
});

/** Hands on what goes between a caller and a stand-in, and keeps it as it went. */
async function listenedTo(
  port: number,
): Promise<{ port: number; bytes: { out: boolean; data: Buffer }[]; close: () => Promise<void> }> {
  const bytes: { out: boolean; data: Buffer }[] = [];
  const sockets: Socket[] = [];
  const server = createServer((near) => {
    const far = connect(port, '127.0.0.1');
    sockets.push(near, far);
    near.on('data', (data) => (bytes.push({ out: true, data }), far.write(data)));
    far.on('data', (data) => (bytes.push({ out: false, data }), near.write(data)));
    near.on('error', () => far.destroy()).on('close', () => far.destroy());
    far.on('error', () => near.destroy()).on('close', () => near.destroy());
  });
  const own = await new Promise<number>((resolve) =>
    server.listen(0, '127.0.0.1', () => resolve((server.address() as { port: number }).port)),
  );
  const close = () => {
    sockets.forEach((socket) => socket.destroy());
    return new Promise<void>((resolve) => server.close(() => resolve()));
  };
  return { port: own, bytes, close };
}

// [library: tshark, the Modbus dissector of Wireshark]
test('what goes over the wire is dissected as what the plan asks for', async () => {
  const [first, second] = [await live(), await live()];
  const { plant, standIns } = first;
  const link = linkOf(plant, 'pressures');
  const { station } = link.path.source;
  const there = second.standIns.standings.find((one) => one.station === station.id)!;
  const tap = await listenedTo(there.port);
  standIns.hand(station.id, `127.0.0.1:${tap.port}`);
  const calls = onWire(plant).filter(({ path: { source, sink } }) =>
    [source, sink].some(({ station: { id } }) => id === station.id),
  );
  await until(plant, () => calls.every(({ answered }) => answered > 0));
  await Promise.all([standIns.close(), second.standIns.close()]);
  await tap.close();

  const folder = await mkdtemp(join(tmpdir(), 'dialoga-wire-'));
  const dump = tap.bytes.map(
    ({ out, data }) => `${out ? 'O' : 'I'} 000000 ${data.toString('hex').replace(/../g, '$& ')}`,
  );
  await writeFile(join(folder, 'dump.txt'), `${dump.join('\n')}\n`);
  await run('text2pcap', ['-q', '-D', '-T', '502,40000', join(folder, 'dump.txt'), join(folder, 'wire.pcap')]);
  const fields = [
    'mbtcp.unit_id',
    'modbus.func_code',
    'modbus.reference_num',
    'modbus.word_cnt',
    'modbus.exception_code',
    '_ws.malformed',
  ];
  const { stdout } = await run('tshark', [
    '-r',
    join(folder, 'wire.pcap'),
    '-Y',
    'mbtcp && tcp.dstport == 502',
    '-T',
    'fields',
    ...fields.flatMap((field) => ['-e', field]),
  ]);
  await rm(folder, { recursive: true, force: true });
  const seen = new Set(stdout.split('\n').filter((line) => line !== ''));
  const CODES = { reads: 3, writes: 16, masks: 22 } as const;
  const planned = calls.flatMap((one) =>
    requestsOf(plant.project, one)!.map(({ does, start, count }) =>
      [
        255,
        does === 'writes' && count === 1 ? 6 : CODES[does],
        start,
        does === 'writes' && count === 1 ? '' : count,
        '',
        '',
      ].join('\t'),
    ),
  );
  expect([...seen].sort()).toEqual([...new Set(planned)].sort());
  expect(planned.length).toBeGreaterThan(3);
});
