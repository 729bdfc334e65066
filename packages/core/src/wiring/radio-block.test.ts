import { newPort } from '../create/new-entities.js';
import { smallPlant } from '../testing/random-edits.testing.js';
import { added, edited, type FieldEdit } from '../testing/two-stations.testing.js';
import { formatRadioPlace, radioPlaceOf } from './radio-block.js';

const BLOCKS = {
  di: { kind: 'digital output', table: 'coils', first: 1, stride: 16, source: 'manual' },
  ai: { kind: 'analogue input', table: 'input registers', first: 11, stride: 4, source: 'manual' },
};
/** The module on a unit of A's radio network. */
const placed = (...edits: FieldEdit[]) => {
  const wired = added(smallPlant(), 'port', {
    ...newPort('pr5', 90, 'sd', 'air'),
    radio: { sort: 'end unit', id: '7' },
  });
  const project = edited(wired, ['profile', 'pa', 'radioBlocks', BLOCKS], ['module', 'm2', 'dial', '3'], ...edits);
  const place = radioPlaceOf(project, project.get('module', 'm2')!);
  return place && formatRadioPlace(place);
};

// A coil's reference number begins with 0, an input register's with 3, and counts from 1. [common practice]
test('dial 3 lies three strides after the first number, in the table of its kind', () => {
  expect(placed()).toBe('00049–00064');
  expect(placed(['module', 'm2', 'kind', 'analogue input'])).toBe('30023–30026');
  expect(placed(['profile', 'pa', 'radioBlocks.di.first', 9990])).toBe('010038–010053');
});

test('no dial, no rule for the kind, or no base: not known', () => {
  expect(placed(['module', 'm2', 'dial', ''])).toBeNull();
  expect(placed(['module', 'm2', 'dial', 'x'])).toBeNull();
  expect(placed(['module', 'm2', 'kind', 'counter'])).toBeNull();
  expect(placed(['port', 'pr1', 'radio.sort', 'repeater'])).toBeNull();
});
