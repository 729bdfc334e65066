import { set } from '../change/make.js';
import type { Project } from '../model/project.js';
import { smallPlant } from '../testing/random-edits.testing.js';
import { applied } from '../testing/two-stations.testing.js';
import { protocolOf } from '../protocol/catalogue.js';
import { addEnd } from '../exchange/add-end.js';
import { editField } from './field.js';
import { editTold } from './end.js';
import { addStep, dropStep, EXCHANGE, STEP } from './exchange.js';
import { entryOf, typing } from '../testing/typing.testing.js';

const start = smallPlant();
const after = (changes: Parameters<typeof applied>[1]['changes'], project: Project = start) => applied(project, { id: 'e', label: '', changes });
/** The exchange after a text was typed into one of its fields; the sentence where it was refused. */
function type(id: string, field: keyof typeof EXCHANGE.fields, text: string) {
  const edit = editField(EXCHANGE, field, start.get('exchange', id)!, text, typing());
  if (edit.problem === null) return after(edit.changes).get('exchange', id)!;
  expect(edit.changes).toEqual([]);
  return edit.problem;
}

test.each([
  ['name', ' Duty ', { name: 'Duty' }],
  ['kind', 'coup', { kind: 'coupler area' }],
  ['transfer', 'cyc', { transfer: 'cyclic blocks' }],
  ['binding', '', { binding: null }],
  ['binding', 'by n', { binding: 'by name' }],
  ['cadence', '2 s', { cadence: 2000 }],
  ['timeout', '', { timeout: null }],
  ['responseDelay', '40', { responseDelay: 40 }],
  ['keepAlive', '1 min', { keepAlive: 60_000 }],
  ['inactivity', '90 s', { inactivity: 90_000 }],
  ['watchedBy', ' Watch_A ', { watchedBy: 'Watch_A' }],
  ['sinks', 'hold', { onLoss: { sinks: 'hold the last value' } }],
  ['source', 'goes', { onLoss: { source: 'goes on commanding' } }],
  ['back', 'wait', { onLoss: { back: 'wait for a release' } }],
  ['notRepeated', 'Start', { onLoss: { notRepeated: 'Start' } }],
  ['sinks', '', { onLoss: null }],
] as const)('%s “%s”', (field, text, fields) => {
  expect(type('x', field, text)).toMatchObject(fields);
});

test.each([
  ['kind', 'friendship', '“friendship” is not a valid kind of exchange; write peer connection, shared variables'],
  ['protocol', 'smoke', '“smoke” is not a protocol known here; write Modbus TCP, '],
  ['transfer', 'x', '“x” is not a valid way of transfer'],
  ['binding', 'by ear', '“by ear” is not a valid binding; write by address, by name, by item text'],
  ['cadence', 'often', '“often” is not a whole number; an interval in ms is a whole number from 1 to 86400000'],
  ['timeout', '0', '0 is out of range; a timeout in ms'],
  ['responseDelay', '25 h', '“25 h” is not a whole number; a response delay in ms'],
  ['sinks', 'explode', '“explode” is not a valid behaviour of the sinks'],
  ['source', 'x', '“x” is not a valid behaviour of the source'],
  ['back', 'x', '“x” is not a valid action on reconnection'],
  ['carries', 'x', '“x” is not a valid kind of load; write words, bytes, bits, values'],
  ['places', 'x', '“x” is not a valid way to compare places; write free, named, same'],
  ['tcpPort', '65536', '65536 is out of range; a TCP port is a whole number from 1 to 65535'],
  ['media', 'ethernet, wool', '“wool” is not a valid kind of network'],
  ['limit', 'all of it', '“all of it” is not a whole number; a limit in bytes'],
  ['unitTold', 'perhaps', '“perhaps” is not a valid answer; write yes, no'],
] as const)('%s refuses “%s”', (field, text, sentence) => {
  expect(type('y', field, text)).toContain(sentence);
});

test.each([
  ['factName', ' Own way ', { name: 'Own way' }],
  ['carries', 'byt', { carries: 'bytes' }],
  ['places', 'same', { places: 'same' }],
  ['tcpPort', '4840', { tcpPort: 4840 }],
  ['tcpPort', '', { tcpPort: null }],
  ['media', 'ethernet, radio, Ethernet', { media: ['ethernet', 'radio'] }],
  ['limit', '200 bytes', { limit: 200 }],
  ['limit', '', { limit: null }],
  ['unitTold', 'y', { unitTold: true }],
  ['unitTold', '', { unitTold: false }],
] as const)('of a protocol of one’s own: %s “%s”', (field, text, facts) => {
  expect(type('y', field, text)).toMatchObject({ facts });
});

test('another protocol by its name or id; the way of transfer goes with what it can', () => {
  const named = type('x', 'protocol', 'modbus rtu') as { protocol: string; transfer: string };
  expect(named).toMatchObject({ protocol: 'modbus-rtu', transfer: 'requests' });
  const cyclic = type('x', 'protocol', 'cyclic-ethernet-io') as { protocol: string; transfer: string };
  expect(protocolOf(cyclic as never).transfers).toContain(cyclic.transfer);
  const own = type('x', 'protocol', 'other') as { facts: object | null };
  expect(own.facts).not.toBeNull();
});

test('what is told is kept as it was typed, also where it is no address', () => {
  const edit = editTold(start.get('end', 'ea')!, 'eb', 'address', ' over there ');
  expect(after(edit.changes).get('end', 'ea')!.told.eb!.address).toBe('over there');
});

test('one more end takes the port of its station that suits best, and does what the second does', () => {
  const { id, changes } = addEnd(start, 'x', 'sc', () => 'more');
  expect(after(changes).get('end', id)).toMatchObject({
    id: 'more',
    exchange: 'x',
    station: 'sc',
    port: 'portc',
    calling: 'listens',
    told: {},
  });
  // Of shared variables it is one more that takes, and so it calls.
  const shared = after([set('exchange', start.get('exchange', 'x')!, ['kind'], 'shared variables')]);
  expect(after(addEnd(shared, 'x', 'sc', () => 'more').changes, shared).get('end', 'more')!.calling).toBe('calls');
  const { changes: bare } = addEnd(start, 'x', 'sd', () => 'more');
  expect(after(bare).get('end', 'more')).toMatchObject({ station: 'sd', port: null });
});

test('a step of a start names an end of the exchange, and goes with the last of them', () => {
  const x = start.get('exchange', 'x')!;
  const made = after(addStep(x, 's1', 'opens').changes);
  const own = made.get('exchange', 'x')!;
  expect(own.start).toEqual({ s1: { order: 10, end: null, does: 'opens' } });
  expect(after(editField(STEP, 'end', entryOf(own, 'start', 's1'), 'b', typing(made)).changes, made).get('exchange', 'x')!.start!.s1!.end).toBe('eb');
  expect(editField(STEP, 'end', entryOf(own, 'start', 's1'), 'C', typing(made)).problem).toBe('“C” names no end of this exchange; its ends: A, B');
  expect(after(dropStep(own, 's1').changes, made).get('exchange', 'x')!.start).toBeNull();
});
