import { newPort, newStation } from '../../../model/create.js';
import { added, codesOf, edited, theFinding, twoStations, wordsOf } from '../../../testing/two-stations.testing.js';

const apart = () =>
  edited(twoStations(), ['port', 'portb', 'address', '10.0.1.2'], ['end', 'ea', 'told.eb.address', '10.0.1.2']);

test('two subnets with nothing between', () => {
  const words = wordsOf(theFinding(apart(), 'ADR 6'));
  expect(words).toContain('A is in 10.0.0.0/24, B in 10.0.1.0/24');
});

test('a router that is the gateway of both leads across', () => {
  const router = added(apart(), 'station', { ...newStation('r', 30, 'R'), roles: ['router'] });
  const wired = added(
    router,
    'port',
    { ...newPort('r1', 10, 'r', 'net'), address: '10.0.0.254' },
    { ...newPort('r2', 20, 'r', 'net'), address: '10.0.1.254' },
  );
  const named = edited(wired, ['port', 'porta', 'gateway', '10.0.0.254'], ['port', 'portb', 'gateway', '10.0.1.254']);
  expect(codesOf(named)).toEqual([]);
  expect(codesOf(edited(named, ['port', 'portb', 'gateway', '']))).toEqual(['ADR 6']);
});
