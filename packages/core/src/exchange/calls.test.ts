import { newEnd } from '../create/new-entities.js';
import { smallPlant } from '../testing/random-edits.testing.js';
import { added, edited, twoStations, type FieldEdit } from '../testing/two-stations.testing.js';
import { callsOf, callsText } from './calls.js';

const calls = (end: string, ...edits: FieldEdit[]) => {
  const project = edited(twoStations(), ...edits);
  return callsOf(project, project.get('exchange', 'x')!, project.get('end', end)!);
};

test('a caller types the partner, the place there, how much, and its own place', () => {
  const [call] = calls('ea');
  expect(call).toMatchObject({ name: 'Block ca', does: 'writes' });
  expect(call!.parameters).toEqual([
    { name: 'address', value: '10.0.0.2' },
    { name: 'TCP port', value: '502', note: 'default' },
    { name: 'unit', value: '255', note: 'default' },
    { name: 'to there', value: 'b200' },
    { name: 'first register', value: '200', note: 'as sent, from 0' },
    { name: 'count', value: '4 words' },
    { name: 'here', value: 'a100' },
  ]);
});

test('register 40001 is sent as 0 [published: MODBUS Application Protocol V1.1b3, 4.4, for counting from 1] [from memory] [common practice: the digit of the table]', () => {
  const [call] = calls(
    'ea',
    [
      'profile',
      'pb',
      'views',
      {
        vb: {
          order: 1,
          name: 'references',
          areaKind: 'memory',
          notation: 'reference 5',
          table: 'holding registers',
          unit: 16,
          first: 1,
        },
      },
    ],
    ['claim', 'cb', 'place.number', 1],
    ['claim', 'ca', 'toldPlace', '40001'],
  );
  expect(call!.parameters.find((p) => p.name === 'first register')?.value).toBe('0');
});

test('a reading request is written as it is sent, without its unit', () => {
  const [call] = calls('ea', ['claim', 'ca', 'direction', 'reads'], ['claim', 'cb', 'direction', 'writes']);
  expect(call!.parameters).toContainEqual({ name: 'request', value: '03 00 C8 00 04' });
});

test('an end that listens declares its blocks; its own words stand for ours; all of it can be copied', () => {
  const [declared] = calls('eb');
  expect(declared).toMatchObject({ does: 'declares' });
  expect(declared!.parameters.map((p) => p.name)).toEqual(['count', 'here']);
  const [send] = calls('ea', ['profile', 'pa', 'words', { writes: { word: 'SEND' } }]);
  expect(send!.does).toBe('SEND');
  expect(callsText([send!])).toBe(
    'Block ca\tSEND\taddress 10.0.0.2\tTCP port 502\tunit 255\tto there b200\tfirst register 200\tcount 4 words\there a100',
  );
  const project = smallPlant();
  expect(callsOf(project, project.get('exchange', 'svc')!, project.get('end', 'svca')!)).toEqual([]);
});

test('of several partners each has a call with what was told of it', () => {
  const base = smallPlant();
  const third = added(base, 'end', { ...newEnd('yb', 30, 'y', 'sb', 'portb', 'listens'), permitted: true });
  const project = edited(added(third, 'claim', { ...base.get('claim', 'cb3')!, id: 'cc3', end: 'yb' }), [
    'end',
    'ya',
    'told.yb',
    { address: '10.0.0.2', tcpPort: '', unit: '' },
  ]);
  const made = callsOf(project, project.get('exchange', 'y')!, project.get('end', 'ya')!);
  expect(made.map((c) => [c.name, c.parameters[0]])).toEqual([
    ['Block ca, C', { name: 'address', value: '10.0.0.3' }],
    ['Block ca, B', { name: 'address', value: '10.0.0.2' }],
  ]);
});
