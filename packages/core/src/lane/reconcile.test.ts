import { edited, twoStations, type FieldEdit } from '../testing/two-stations.testing.js';
import type { Project } from '../model/project.js';
import { SWAPS } from '../model/words.js';
import { compareLane } from './compare.js';
import { inTheWay, reconcilingSwaps } from './reconcile.js';
import type { Side } from './side.js';

const sides = (project: Project): [Side, Side] => {
  const { sides: both } = compareLane(project, project.get('lane', 'lane')!, project.get('exchange', 'x')!);
  return [both[0]!, both[1]!];
};
const verdictWith = (project: Project, ...edits: FieldEdit[]) => {
  const changed = edited(project, ...edits);
  return compareLane(changed, changed.get('lane', 'lane')!, changed.get('exchange', 'x')!).verdict;
};

const LAYOUTS = [
  {},
  { registerOrder: 'low first' },
  { byteOrder: 'low first' },
  { byteOrder: 'low first', registerOrder: 'low first' },
];

describe.each(LAYOUTS)('facing %o', (layout) => {
  test.each(['REAL', 'DINT', 'INT', 'LREAL'])(
    '%s: the swaps offered are exactly those with which the lane agrees',
    (base) => {
      const type = { base, count: base === 'LREAL' ? 1 : base === 'INT' ? 4 : 2 };
      for (const carries of ['words', 'bytes'] as const) {
        const project = edited(
          twoStations(),
          ['exchange', 'x', 'protocol', 'other'],
          ['exchange', 'x', 'facts', { name: 'o', carries, places: 'free', tcpPort: null, unitTold: false }],
          ['station', 'sb', 'layout', layout],
          ['claim', 'ca', 'type', type],
          ['claim', 'cb', 'type', type],
        );
        const [source, sink] = sides(project);
        const offered = reconcilingSwaps(source, sink);
        for (const swap of SWAPS.filter((s) => s !== 'none')) {
          expect(offered.some((o) => o.side === 'sink' && o.swap === swap)).toBe(
            verdictWith(project, ['claim', 'cb', 'swap', swap]) === 'agreed',
          );
          expect(offered.some((o) => o.side === 'source' && o.swap === swap)).toBe(
            verdictWith(project, ['claim', 'ca', 'swap', swap]) === 'agreed',
          );
        }
        if (offered.length > 0) expect(inTheWay(source, sink)).toEqual([]);
      }
    },
  );
});
