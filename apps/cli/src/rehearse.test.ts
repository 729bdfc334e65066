import { spawn, spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { XMLParser } from 'fast-xml-parser';

const root = join(__dirname, '../../..');
const FAULTY = join(root, 'demo/kestrel-quay.dialoga.json');
const AGREED = join(root, 'demo/kestrel-quay-as-agreed.dialoga.json');
const program = join(root, 'apps/cli/dist/rehearse.js');

/** The built command, as `npm run rehearse` starts it. */
const rehearse = (...args: string[]) => spawnSync(process.execPath, [program, ...args], { encoding: 'utf8' });

test('the demo as agreed comes through from end to end, exit 0', () => {
  const { stdout, status } = rehearse(AGREED, '--walk');
  expect(status).toBe(0);
  expect(stdout).toContain('446 of 446 lanes come through');
});

test('the faulty one: what a person would see of each seeded fault of data, exit 1', () => {
  const { stdout, status } = rehearse(FAULTY);
  expect(status).toBe(1);
  for (const words of [
    'PlantCtl calls 10.48.10.14: nobody on Plant LAN has it',
    'SuctionSetpoint set to 1.0 arrives as 2.278E−41: the two registers are exchanged',
    'SkidCtl sends 5 words, PlantCtl takes 6 words',
    'StoreTemp: 12 elements are sent, 10 are taken',
    'DockCtl sends 14 bytes, PlantCtl takes 12 bytes',
    'Meter3 and WaterMeter both have unit address 13',
    'PlantCtl asks for G1600',
    'REAL is taken as INT',
    'ControlRoom asks for “Plnat.RoomLevel017”, which PlantCtl does not have',
  ]) {
    expect(stdout).toContain(words);
  }
});

test('one exchange by name; another name says which there are', () => {
  const { stdout, status } = rehearse(FAULTY, '--exchange', 'skid start-up');
  expect([status, stdout.includes('2 of 2 lanes come through')]).toEqual([0, true]);
  const none = rehearse(FAULTY, '--exchange', 'Nothing');
  expect([none.status, none.stdout]).toEqual([2, expect.stringContaining('one of Compressor duty, Skid start-up')]);
});

test('--junit is XML with a case a lane [library: fast-xml-parser]', () => {
  const { stdout } = rehearse(FAULTY, '--junit');
  const parsed = new XMLParser({ ignoreAttributes: false }).parse(stdout) as {
    testsuites: { testsuite: { '@_tests': string; '@_failures': string; testcase: { failure?: object }[] } };
  };
  const { '@_tests': tests, '@_failures': failures, testcase } = parsed.testsuites.testsuite;
  expect([Number(tests), testcase.length, Number(failures)]).toEqual([
    446,
    446,
    testcase.filter((c) => c.failure).length,
  ]);
});

test.each([
  [[], 'No file is named'],
  [[FAULTY, AGREED], 'One file at a time'],
  [[FAULTY, '--yaml'], 'Unknown option: --yaml'],
  [[FAULTY, '--exchange'], '--exchange needs the name'],
])('what is asked for wrongly: exit 2 and how it is called', (args, words) => {
  const { stderr, status } = rehearse(...args);
  expect([status, stderr]).toEqual([2, expect.stringContaining(words)]);
});

test('--serve prints who stands where, and ends when it is interrupted', async () => {
  const child = spawn(process.execPath, [program, AGREED, '--serve']);
  let printed = '';
  await new Promise<void>((resolve) => {
    child.stdout.on('data', (more: Buffer) => {
      printed += more.toString();
      if (printed.includes('Ctrl+C')) resolve();
    });
  });
  expect(printed).toMatch(/SkidCtl +10\.48\.10\.12:502 +Modbus TCP +127\.0\.0\.1:\d+/);
  expect(printed).toMatch(/Meter1 +unit 11 on Meter line +Modbus RTU over TCP +127\.0\.0\.1:\d+, unit 11/);
  const ended = new Promise((resolve) => child.once('exit', resolve));
  child.kill('SIGINT');
  expect(await ended).toBe(0);
});
