import { execFile } from 'node:child_process';
import { connect, type Socket } from 'node:net';
import { promisify } from 'node:util';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { readProject } from '@dialoga/core/entry';
import { Plant } from '@dialoga/core/rehearse';
import { client as jsmodbus } from 'jsmodbus';
import ModbusRTU from 'modbus-serial';
import { crc16, rtuFrame } from '@dialoga/core/protocol';
import { StandIns } from './index.js';
import { listenTcp } from './modbus-server.js';

const run = promisify(execFile);
const read = readProject(readFileSync(join(__dirname, '../../../demo/kestrel-quay-as-agreed.dialoga.json'), 'utf8'));
if (!read.ok) throw new Error('the demo cannot be read');
const plant = new Plant(read.project);

let standIns: StandIns;
beforeAll(async () => {
  standIns = await StandIns.of(plant);
});
afterAll(() => standIns.close());

const portOf = (station: string): number => standIns.standings.find(({ name }) => name === station)!.port;
/** Registers of the skid: `w…` are its holding registers, from 0. */
const skid = () => plant.memory.of([...read.project.all('area')].find((a) => stationName(a.station) === 'SkidCtl')!.id);
const stationName = (id: string) => (read.ok ? read.project.get('station', id)?.name : '');
const register = (n: number) =>
  Array.from({ length: 16 }, (_, i) => skid()[16 * n + i]! << i).reduce((a, b) => a | b, 0);
const put = (n: number, value: number) => {
  for (let i = 0; i < 16; i++) skid()[16 * n + i] = (value >> i) & 1;
};

/** Sends bytes as they are, and gives what comes back: as soon as it is so long, or the connection is closed. */
function raw(port: number, length: number, ...parts: string[]): Promise<{ got: string; closed: boolean }> {
  return new Promise((resolve) => {
    let got = '';
    const socket: Socket = connect(port, '127.0.0.1', () =>
      parts.forEach((hex) => socket.write(Buffer.from(hex, 'hex'))),
    );
    const done = (closed: boolean) => {
      socket.destroy();
      resolve({ got, closed });
    };
    socket.on('data', (more) => {
      got += more.toString('hex');
      if (got.length >= length) done(false);
    });
    socket.on('close', () => done(true));
    socket.on('error', () => done(true));
  });
}

test('everybody who answers Modbus has a place on loopback, and says what to type', () => {
  const names = standIns.standings.map(({ name }) => name);
  expect(names).toContain('SkidCtl');
  expect(names).toContain('Meter1');
  for (const { host, port, typed } of standIns.standings) {
    expect([host, typed.startsWith(`127.0.0.1:${port}`)]).toEqual(['127.0.0.1', true]);
  }
  expect(standIns.standings.find(({ name }) => name === 'SkidCtl')!.planned).toBe('10.48.10.12:502');
});

// [library: modbus-serial]
test('modbus-serial reads and sets registers, and gets the exceptions of the standard', async () => {
  const client = new ModbusRTU();
  await client.connectTCP('127.0.0.1', { port: portOf('SkidCtl') });
  put(1264, 0x1234);
  expect((await client.readHoldingRegisters(1264, 2)).data).toEqual([0x1234, 0]);
  await client.writeRegisters(1240, [3, 0x8001]);
  expect([register(1240), register(1241)]).toEqual([3, 0x8001]);
  await client.writeRegister(1242, 7);
  expect(register(1242)).toBe(7);
  await expect(client.readHoldingRegisters(0, 126)).rejects.toMatchObject({ modbusCode: 3 });
  await expect(client.readHoldingRegisters(65_535, 1)).rejects.toMatchObject({ modbusCode: 2 });
  await new Promise<void>((resolve) => client.close(() => resolve()));
});

// [library: jsmodbus]
test('jsmodbus reads and sets the same', async () => {
  const socket = connect(portOf('SkidCtl'), '127.0.0.1');
  const client = new jsmodbus.TCP(socket, 255);
  await new Promise((resolve) => socket.once('connect', resolve));
  await client.writeMultipleRegisters(1300, [1, 2, 0xffff]);
  const { response } = await client.readHoldingRegisters(1300, 3);
  expect(Array.from(response.body.valuesAsArray)).toEqual([1, 2, 0xffff]);
  await expect(client.readInputRegisters(0, 1)).rejects.toMatchObject({ response: { body: { code: 2 } } });
  socket.destroy();
});

// [library: mbpoll, libmodbus]
test('mbpoll reads the pressures of the skid from a terminal, and sets a permissive there', async () => {
  const port = String(portOf('SkidCtl'));
  const bits = new DataView(new ArrayBuffer(4));
  bits.setFloat32(0, 2.31);
  // The skid keeps the low register first.
  put(1264, bits.getUint16(2));
  put(1265, bits.getUint16(0));
  const readings = await run('mbpoll', [
    '-m',
    'tcp',
    '-p',
    port,
    '-a',
    '255',
    '-t',
    '4:float',
    '-r',
    '1265',
    '-c',
    '1',
    '-1',
    '-q',
    '127.0.0.1',
  ]);
  expect(readings.stdout).toMatch(/\[1265\]:\s+2\.31/);
  await run('mbpoll', ['-m', 'tcp', '-p', port, '-a', '255', '-t', '4', '-r', '1241', '-q', '127.0.0.1', '5']);
  expect(register(1240)).toBe(5);
});

// [library: pymodbus]
test('pymodbus asks a meter on the line by its unit, over RTU frames', async () => {
  const meter = standIns.standings.find(({ name }) => name === 'Meter1')!;
  const code = `
from pymodbus.client import ModbusTcpClient
from pymodbus.transaction import ModbusRtuFramer
c = ModbusTcpClient("127.0.0.1", port=${meter.port}, framer=ModbusRtuFramer)
c.connect()
r = c.read_input_registers(0, 2, slave=${meter.unit})
print(r.registers)
e = c.read_input_registers(60000, 2, slave=${meter.unit})
print(e.exception_code)
c.close()
`;
  const { stdout } = await run('/usr/bin/python3', ['-c', code]);
  expect(stdout.trim().split('\n')).toEqual(['[0, 0]', '2']);
});

// [library: pymodbus]
test('pymodbus masks a register, and writes and reads at once; what it may not ask it is refused', async () => {
  put(1400, 0x12);
  put(1401, 0x0acd);
  const code = `
from pymodbus.client import ModbusTcpClient
c = ModbusTcpClient("127.0.0.1", port=${portOf('SkidCtl')})
c.connect()
print(c.mask_write_register(1400, 0xF2, 0x25, slave=255).isError())
r = c.readwrite_registers(read_address=1400, read_count=2, write_address=1402, write_registers=[7, 8], slave=255)
print(r.registers)
for e in [c.write_registers(65535, [1, 2], slave=255), c.write_coil(60000, True, slave=255), c.read_coils(0, 1, slave=255), c.read_exception_status(slave=255)]:
    print(getattr(e, "exception_code", None))
c.close()
`;
  const { stdout } = await run('/usr/bin/python3', ['-c', code]);
  const [masked, both, ...exceptions] = stdout.trim().split('\n');
  expect([masked, both, register(1402), register(1403)]).toEqual(['False', `[${0x17}, ${0x0acd}]`, 7, 8]);
  expect(exceptions.slice(0, 2)).toEqual(['2', '2']);
  expect(exceptions.at(-1)).toBe('1');
});

// [published: MODBUS Application Protocol Specification V1.1b3, 7: 04 and 0B] [from memory]
test('a device that is faulted says so, one that is cut or stopped says nothing, a gateway says that nobody behind it answers', async () => {
  const ask = async () => {
    const client = new ModbusRTU();
    await client.connectTCP('127.0.0.1', { port: portOf('SkidCtl') });
    client.setTimeout(100);
    const got = await client.readHoldingRegisters(1264, 1).then(
      ({ data }) => data.length,
      (error: { modbusCode?: number; message: string }) => error.modbusCode ?? error.message,
    );
    await new Promise<void>((resolve) => client.close(() => resolve()));
    return got;
  };
  const id = [...read.project.all('station')].find(({ name }) => name === 'SkidCtl')!.id;
  plant.stop(id, 'faulted');
  expect(await ask()).toBe(4);
  plant.stop(id);
  expect(await ask()).toBe('Timed out');
  plant.start(id);
  plant.cut('plant-lan');
  expect(await ask()).toBe('Timed out');
  plant.join('plant-lan');
  expect(await ask()).toBe(1);
  const gateway = await listenTcp(() => 'no answer from behind');
  expect((await raw(gateway.port, 18, '0001000000060b0300000001')).got).toBe('0001000000030b830b');
  await gateway.close();
});

test('of two with one unit on a line nobody is understood', async () => {
  const read = readProject(readFileSync(join(__dirname, '../../../demo/kestrel-quay.dialoga.json'), 'utf8'));
  if (!read.ok) throw new Error('the demo cannot be read');
  const faulty = new Plant(read.project);
  const own = await StandIns.of(faulty);
  const [meter, water, alone] = ['Meter3', 'WaterMeter', 'Meter1'].map((name) =>
    own.standings.find((one) => one.name === name)!,
  );
  expect(meter!.unit).toBe(water!.unit);
  const frame = (unit: number) => Buffer.from(rtuFrame(unit, [4, 0, 0, 0, 1])).toString('hex');
  // The one is asked, and then another: only that answers.
  const both = [frame(meter!.unit!), frame(alone!.unit!)];
  const answered = async () => (await raw(meter!.port, 14, ...both)).got.slice(0, 4);
  const begins = (unit: number) => Buffer.from([unit, 4]).toString('hex');
  expect(await answered()).toBe(begins(alone!.unit!));
  // With the one of them stopped the other is understood.
  faulty.stop(water!.station);
  expect(await answered()).toBe(begins(meter!.unit!));
  await own.close();
});

describe('what no client sends', () => {
  const ok = '000100000006ff0304f00001';
  test.each([
    ['half a frame, and the rest later', [ok.slice(0, 9 * 2), ok.slice(9 * 2)], '000100000005ff0302', false],
    ['two at once', [ok + ok.replace('0001', '0002')], '000100000005ff0302', false],
    ['another protocol', ['000100050006ff0304f00001'], '', true],
    ['a length of 0', ['000100000000'], '', true],
    ['a length beyond any', ['00010000ffffff03'], '', true],
    ['a function that there is not', ['000100000006ff6300000001'], '000100000003ffe301', false],
    ['a coil that is neither on nor off', ['000100000006ff0500001234'], '000100000003ff8503', false],
    [
      'a byte count that is not that of the registers',
      ['000100000009ff10000000010300010000'.slice(0, 30)],
      '000100000003ff9003',
      false,
    ],
  ])('%s', async (_, parts, begins, closed) => {
    const answer = await raw(portOf('SkidCtl'), closed ? Infinity : begins.length, ...parts);
    expect([answer.got.startsWith(begins), answer.closed]).toEqual([true, closed]);
  });

  test('a frame on a line with a wrong check is not answered; with a right one it is', async () => {
    const { port, unit } = standIns.standings.find(({ name }) => name === 'Meter1')!;
    const frame = Buffer.from([unit!, 4, 0, 0, 0, 1, 0, 0]);
    frame.writeUInt16LE(crc16([...frame.subarray(0, 6)]), 6);
    expect((await raw(port, 14, frame.toString('hex'))).got).toHaveLength(14);
    frame[7]! ^= 1;
    expect(await raw(port, Infinity, frame.toString('hex'))).toEqual({ got: '', closed: true });
  });

  test('a hundred clients at once, each with a hundred requests, and a flood of nonsense beside them', async () => {
    const port = portOf('SkidCtl');
    const flood = Array.from({ length: 20 }, () => raw(port, Infinity, 'ff'.repeat(4000)));
    const clients = Array.from({ length: 100 }, async (_, n) => {
      const client = new ModbusRTU();
      await client.connectTCP('127.0.0.1', { port });
      for (let i = 0; i < 100; i++) {
        await client.writeRegister(2000 + n, i);
        const { data } = await client.readHoldingRegisters(2000 + n, 1);
        if (data[0] !== i) throw new Error(`client ${n} read ${data[0]} in place of ${i}`);
      }
      await new Promise<void>((resolve) => client.close(() => resolve()));
    });
    await Promise.all([...flood, ...clients]);
    expect(register(2099)).toBe(99);
  });
});

test('a port that somebody else has is told as another', async () => {
  const second = await StandIns.of(new Plant(read.project));
  const ports = new Set([...standIns.standings, ...second.standings].map(({ port }) => port));
  const own = (all: StandIns) => new Set(all.standings.map(({ port }) => port)).size;
  expect(ports.size).toBe(own(standIns) + own(second));
  await second.close();
});
