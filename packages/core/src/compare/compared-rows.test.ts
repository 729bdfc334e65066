import fc from 'fast-check';
import { apply } from '../change/apply.js';
import { diff } from '../change/diff.js';
import { randomEdit, THEMES, smallPlant } from '../testing/random-edits.testing.js';
import { edited, twoStations, without } from '../testing/two-stations.testing.js';
import { compareRevisions } from './compared-rows.js';

const plant = smallPlant();

test('one offset that differs is one changed row, old and new at both ends, and the stations affected', () => {
  const moved = edited(plant, ['claim', 'ca2', 'items.k2.offset', { bits: 32 }]);
  expect(compareRevisions(plant, moved)).toEqual({
    rows: [
      {
        kind: 'sheet',
        where: 'Exchange',
        what: 'Block ca, L2',
        ends: [
          { station: 'A', before: 'L2 · a301 · 2 words · DINT', after: 'L2 · a302 · 2 words · DINT' },
          { station: 'B', before: 'R2 · b301 · 2 words · DINT', after: 'R2 · b301 · 2 words · DINT' },
        ],
      },
    ],
    stations: ['A', 'B'],
  });
});

test('a field of a port is one row under its station', () => {
  const after = edited(plant, ['port', 'porta', 'address', '10.0.0.7']);
  expect(compareRevisions(plant, after)).toEqual({
    rows: [{ kind: 'field', where: 'A, Ethernet', what: 'port: address', before: '10.0.0.1', after: '10.0.0.7' }],
    stations: ['A'],
  });
});

test('a claim that went shows what it said, and nothing now', () => {
  const { rows } = compareRevisions(plant, without(plant, 'claim', 'cb'));
  expect(rows).toHaveLength(1);
  expect(rows[0]).toMatchObject({ ends: [{ station: 'A' }, { station: 'B', after: null }] });
});

test('the same revision differs in nothing; any other in something', () => {
  fc.assert(
    fc.property(fc.array(fc.tuple(fc.nat(), fc.nat(), fc.nat()), { maxLength: 5 }), (steps) => {
      let project = plant;
      steps.forEach(([what, whose, value], i) => {
        const changes = randomEdit(project, THEMES[what % 3]!, what, whose, value, `fresh${i}`) ?? [];
        const applied = apply(project, { id: `c${i}`, label: '', changes });
        if (applied.ok) project = project.with(applied.entities);
      });
      expect(compareRevisions(project, project).rows).toEqual([]);
      expect(compareRevisions(plant, project).rows.length > 0).toBe(diff(plant, project).length > 0);
    }),
    { numRuns: 150 },
  );
});

test('a slot stands in the row also where another cell of the claim changed', () => {
  const base = edited(twoStations(), ['exchange', 'x', 'kind', 'coupler area'], ['claim', 'cb', 'slot', 3]);
  const { rows } = compareRevisions(base, edited(base, ['claim', 'cb', 'place.number', 202]));
  expect(rows).toHaveLength(1);
  expect(rows[0]).toMatchObject({ ends: [{}, { before: expect.stringContaining('slot 3') as string }] });
});

test('a part that came whole is told by its fields in words', () => {
  const told = edited(plant, ['end', 'ea', 'told', { eb: { address: '10.0.0.2', tcpPort: '', unit: '7' } }]);
  const before = edited(told, ['end', 'ea', 'told', {}]);
  expect(compareRevisions(before, told).rows).toMatchObject([
    { what: 'end: told', before: null, after: 'address 10.0.0.2, unit 7' },
  ]);
});

test('a lane that was walked since differs in nothing; what else changed on it is still a row', () => {
  const mark = { at: '2026-11-30T08:00:00.000Z', revision: 3, digest: 'e898c71548a85891' };
  const id = [...plant.all('lane')][0]!.id;
  const walked = edited(plant, ['lane', id, 'rehearsed', mark]);
  expect(diff(plant, walked)).toHaveLength(1);
  expect(compareRevisions(plant, walked)).toEqual({ rows: [], stations: [] });
  const again = edited(walked, ['lane', id, 'rehearsed', { ...mark, revision: 4 }]);
  expect(compareRevisions(walked, again).rows).toEqual([]);
  expect(compareRevisions(plant, edited(walked, ['lane', id, 'mostAge', 500])).rows).toMatchObject([
    { what: expect.stringContaining('lane') as string, after: expect.stringContaining('500') as string },
  ]);
});
