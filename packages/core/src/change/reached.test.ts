import fc from 'fast-check';
import { smallPlant } from '../testing/random-edits.testing.js';
import { twoStations } from '../testing/two-stations.testing.js';
import type { Kind } from '../model/kinds.js';
import { KINDS } from '../model/kinds.js';
import { dropWithDependents } from './make.js';
import { reachedBy } from './reached.js';

const project = twoStations();
const reached = (kind: Kind, id: string) =>
  reachedBy(project, id, dropWithDependents(project, kind, id)).map(({ gone, ...rest }) => ({
    ...rest,
    gone: Object.fromEntries(gone),
  }));

test('a lane goes with its claims, which are its own: nothing else is reached', () => {
  expect(reached('lane', 'lane')).toEqual([]);
  expect(reached('exchange', 'x')).toEqual([]);
});

test('a station: its ports and areas are its own; its end, and what was said for it, go from the exchange', () => {
  expect(reached('station', 'sb')).toEqual([
    { kind: 'exchange', id: 'x', gone: { end: 1, claim: 1 }, emptied: 1, kept: 0 },
  ]);
});

test('a network: ports stay, attached to nothing; a port: its end stays, without one', () => {
  expect(reached('network', 'net')).toEqual([
    { kind: 'station', id: 'sa', gone: {}, emptied: 1, kept: 0 },
    { kind: 'station', id: 'sb', gone: {}, emptied: 1, kept: 0 },
  ]);
  expect(reached('port', 'porta')).toEqual([{ kind: 'exchange', id: 'x', gone: {}, emptied: 1, kept: 0 }]);
});

test('an area: claims stay, without a place', () => {
  expect(reached('area', 'areaa')).toEqual([{ kind: 'exchange', id: 'x', gone: {}, emptied: 1, kept: 0 }]);
});

test('whatever is deleted: every change is of its own parts or counted once, nothing twice', () => {
  const plant = smallPlant();
  const all = KINDS.flatMap((kind) => [...plant.all(kind)].map(({ id }) => ({ kind, id })));
  fc.assert(
    fc.property(fc.constantFrom(...all.filter(({ kind }) => kind !== 'project')), ({ kind, id }) => {
      const changes = dropWithDependents(plant, kind, id);
      const outside = reachedBy(plant, id, changes);
      const counted = outside.reduce((sum, r) => sum + r.emptied + [...r.gone.values()].reduce((a, b) => a + b, 0), 0);
      expect(counted).toBeLessThan(changes.length);
      expect(new Set(outside.map((r) => r.id)).size).toBe(outside.length);
      expect(outside.some((r) => r.id === id)).toBe(false);
    }),
    { numRuns: 300 },
  );
});
