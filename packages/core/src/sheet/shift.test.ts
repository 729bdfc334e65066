import fc from 'fast-check';
import type { Project } from '../model/project.js';
import { added, applied, codesOf, edited, twoStations } from '../testing/two-stations.testing.js';
import { shiftPage, type Shifted } from './shift.js';

const shift = (project: Project, end: string, by: number, what: Shifted) =>
  shiftPage(project, project.get('end', end)!, by, what);
const after = (project: Project, end: string, by: number, what: Shifted) =>
  applied(project, { id: 's', label: '', changes: shift(project, end, by, what).changes });

test('an end that counted from 1 is mended by one step: its own addresses, or those it was told', () => {
  const told = edited(twoStations(), ['claim', 'ca', 'toldPlace', 'b201']);
  expect(codesOf(told)).not.toEqual([]);
  expect(shift(told, 'ea', -1, 'told').rows).toEqual([{ name: 'Block ca', before: 'b201', after: 'b200' }]);
  expect(codesOf(after(told, 'ea', -1, 'told'))).toEqual([]);
  expect(shift(told, 'eb', 1, 'own').rows).toEqual([{ name: 'Block cb', before: 'b200', after: 'b201' }]);
  expect(codesOf(after(told, 'eb', 1, 'own'))).toEqual([]);
});

test('there and back again changes nothing', () => {
  fc.assert(
    fc.property(fc.integer({ min: -100, max: 400 }), fc.constantFrom<Shifted>('own', 'told'), (by, what) => {
      const project = twoStations();
      const end = what === 'own' ? 'eb' : 'ea';
      const back = after(after(project, end, by, what), end, -by, what);
      expect(back.get('claim', 'ca')).toEqual(project.get('claim', 'ca'));
      expect(back.get('claim', 'cb')).toEqual(project.get('claim', 'cb'));
    }),
  );
});

test('what would lie before the first, beyond the area or on something else is told beforehand', () => {
  const project = twoStations();
  expect(shift(project, 'ea', -101, 'own')).toMatchObject({
    changes: [],
    clashes: ['Block ca would begin before a0'],
  });
  expect(shift(project, 'ea', 898, 'own').clashes).toEqual(['Block ca would lie beyond Memory']);
  const other = added(
    added(project, 'exchange', { ...project.get('exchange', 'x')!, id: 'y', order: 20, name: 'Other' }),
    'end',
    { ...project.get('end', 'ea')!, id: 'ya', exchange: 'y', told: {} },
  );
  const lane = added(other, 'lane', { id: 'ylane', order: 10, exchange: 'y', items: {} });
  const known = project.get('claim', 'ca')!;
  const beside = added(lane, 'claim', {
    ...known,
    id: 'cy',
    lane: 'ylane',
    end: 'ya',
    name: 'Beside',
    place: { area: 'areaa', view: 'va', number: 106 },
  });
  expect(shift(beside, 'ea', 2, 'own').clashes).toEqual([]);
  expect(shift(beside, 'ea', 3, 'own').clashes).toEqual(['Block ca would lie on Beside']);
  const odd = edited(project, ['claim', 'ca', 'toldPlace', 'nowhere']);
  expect(shift(odd, 'ea', 1, 'told')).toMatchObject({
    changes: [],
    clashes: ['“nowhere” of Block ca cannot be read there, so it stays'],
  });
});
