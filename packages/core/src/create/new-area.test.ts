import { edited, twoStations } from '../testing/two-stations.testing.js';
import { newAreaOf } from './new-area.js';

const made = (project: ReturnType<typeof twoStations>) => newAreaOf(project, 'sb', 'fresh', 20, 'More', 'v1');

test('a controller’s area has its program and the views of its profile; a gateway’s is its memory, which nobody writes', () => {
  expect(made(twoStations())).toMatchObject({ kind: 'memory', writers: ['program'], wordBits: 16, views: {} });
  const gateway = made(edited(twoStations(), ['station', 'sb', 'roles', ['gateway']]));
  expect(gateway).toMatchObject({ kind: 'gateway memory', writers: [] });
  // The profile has no view for this kind.
  expect(Object.keys(gateway.views)).toEqual(['v1']);
});

test('an area that the profile numbers in bytes is kept in bytes, as large as one in words', () => {
  const bytes = made(edited(twoStations(), ['profile', 'pb', 'views.vb.unit', 8]));
  expect(bytes).toMatchObject({ wordBits: 8, words: 8192 });
});
