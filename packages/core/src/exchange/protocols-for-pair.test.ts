import { edited, twoStations, type FieldEdit } from '../testing/two-stations.testing.js';
import { protocolsForPair } from './protocols-for-pair.js';

const speech = (...roles: ('calls' | 'listens')[]) => ({ roles, media: ['ethernet'], source: 'manual, 2' });
const choices = (...edits: FieldEdit[]) =>
  protocolsForPair(edited(twoStations(), ...edits), 'tag map', ['sa', 'sb']).map(({ id, why }) => [id, why]);

test('what both speak comes first, then what is not known, then the rest with the reason', () => {
  const unknown = 'what A speaks is not known yet';
  expect(choices()).toEqual([
    ['modbus-tcp', unknown],
    ['cip', unknown],
    ['opc-ua', unknown],
    ['other', null],
    ['modbus-rtu', 'A has no port on serial line'],
  ]);
  const [a, b]: FieldEdit[] = [
    ['profile', 'pa', 'speaks', { cip: speech('calls'), 'modbus-tcp': speech('listens') }],
    [
      'profile',
      'pb',
      'speaks',
      { cip: speech('listens'), 'modbus-tcp': speech('listens'), 'opc-ua': speech('listens') },
    ],
  ];
  expect(choices(a!, b!)).toEqual([
    ['cip', null],
    ['other', null],
    ['modbus-tcp', 'A can only listen in it'],
    ['modbus-rtu', 'A does not speak it'],
    ['opc-ua', 'A does not speak it'],
  ]);
  // Of one of the two it is known, of the other not yet.
  expect(choices(a!)[0]).toEqual(['cip', 'what B speaks is not known yet']);
});
