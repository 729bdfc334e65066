import { newEnd } from '../create/new-entities.js';
import { smallPlant } from '../testing/random-edits.testing.js';
import { added, edited, type FieldEdit } from '../testing/two-stations.testing.js';
import { adviseTransfer } from './advice.js';

const advised = (...edits: FieldEdit[]) => {
  const project = edited(smallPlant(), ...edits);
  return adviseTransfer(project, project.get('exchange', 'y')!);
};

test('the same partner, often: cyclic in the background', () => {
  const advice = advised();
  expect(advice).toMatchObject({ suits: 'cyclic blocks', differs: false, possible: true, but: [] });
  expect(advice.because).toEqual(['8 bytes, every 100 ms', 'the partner is always the same']);
  expect(advised(['exchange', 'y', 'transfer', 'requests']).differs).toBe(true);
});

test('small and infrequent, on demand, or a partner that is chosen at run time: requests', () => {
  expect(advised(['exchange', 'y', 'cadence', null]).because).toEqual(['8 bytes, on request: small and infrequent']);
  expect(advised(['claim', 'ca3', 'trigger', 'on demand']).suits).toBe('requests');
  const project = added(smallPlant(), 'end', { ...newEnd('yb', 30, 'y', 'sb', 'portb', 'listens'), permitted: true });
  const advice = adviseTransfer(project, project.get('exchange', 'y')!);
  expect(advice.because[0]).toContain('1 partner is permitted');
  // What speaks for the other way is not kept back.
  expect(advice.but).toEqual(['8 bytes, every 100 ms']);
});

test('what each way costs names the blocks and the bytes; a protocol may not have the way that suits', () => {
  const { costs } = advised();
  expect(costs.requests[0]).toContain('1 calls');
  expect(costs['cyclic blocks'][0]).toContain('8 bytes');
  expect(advised(['exchange', 'y', 'protocol', 'modbus-tcp']).possible).toBe(false);
});
