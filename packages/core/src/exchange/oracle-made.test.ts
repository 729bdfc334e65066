import fc from 'fast-check';
import { compareLane } from '../lane/compare.js';
import { newArea, newEnd, newExchange, newView } from '../create/new-entities.js';
import type { Landing } from '../model/landing.js';
import type { Module } from '../model/module.js';
import { childrenOf } from '../model/order.js';
import type { Project } from '../model/project.js';
import { smallPlant } from '../testing/random-edits.testing.js';
import { holds } from '../testing/oracle.testing.js';
import { added, applied, edited } from '../testing/two-stations.testing.js';
import { lanesFromDials } from './radio-lanes.js';
import { lanesFromLandings } from './remote-io.js';

/** Modules of a head in a row, with the words that each takes of its owner's image, and what is changed afterwards. */
interface Rack {
  modules: { inputs: number; outputs: number }[];
  /** bytes by which one end of one lane is made longer by hand; 0: nothing is changed */
  off: number;
  which: number;
}

const rack: fc.Arbitrary<Rack> = fc.record({
  modules: fc.array(fc.record({ inputs: fc.integer({ min: 0, max: 8 }), outputs: fc.integer({ min: 0, max: 8 }) }), {
    minLength: 1,
    maxLength: 6,
  }),
  off: fc.constantFrom(0, 0, 1, 2),
  which: fc.nat(20),
});

function projectOf({ modules }: Rack): Project {
  const base = smallPlant();
  const cyclic = { transfer: 'cyclic blocks', kind: 'remote I/O', onLoss: { sinks: 'go to zero' } } as const;
  const exchange = added(base, 'exchange', { ...newExchange('io', 50, 'Modules', 'other'), ...cyclic });
  const ends = added(
    exchange,
    'end',
    newEnd('ioa', 10, 'io', 'sa', 'porta', 'calls'),
    newEnd('iod', 20, 'io', 'sd', null, 'listens'),
  );
  const cleared = ['l2', 'l3', 'l4'].reduce((now, id) => edited(now, ['landing', id, 'role', 'listener']), ends);
  const own = modules.map(({ inputs, outputs }, i): Module => ({
    id: `n${i}`,
    order: 100 + i,
    name: `N${i}`,
    rack: 'rack',
    slot: 20 + i,
    kind: 'other',
    orderCode: '',
    inputs,
    outputs,
  }));
  const at = (number: number) => ({ area: 'areaa', view: 'va', number });
  const landings = modules.map(({ inputs, outputs }, i): Landing => ({
    id: `o${i}`,
    order: 100 + i,
    station: 'sa',
    module: `n${i}`,
    role: 'owner',
    inputsAt: inputs > 0 ? at(300 + i * 10) : null,
    outputsAt: outputs > 0 ? at(500 + i * 10) : null,
  }));
  const racked = added(added(cleared, 'module', ...own), 'landing', ...landings);
  let n = 0;
  const changes = lanesFromLandings(racked, racked.get('exchange', 'io')!, () => `made${String(n++).padStart(4, '0')}`);
  return applied(racked, { id: 'c', label: '', changes });
}

test('lanes that follow from modules agree, and are Agreed no longer where one end is made another length', () => {
  let changed = 0;
  holds(
    'made from landings',
    rack,
    200,
    (one) => {
      const project = projectOf(one);
      const exchange = project.get('exchange', 'io')!;
      const lanes = childrenOf(project, 'lane', 'io').filter((lane) => /^landing o/.test(lane.madeBy ?? ''));
      expect(lanes).toHaveLength(one.modules.reduce((sum, m) => sum + Number(m.inputs > 0) + Number(m.outputs > 0), 0));
      for (const lane of lanes) expect(compareLane(project, lane, exchange).verdict).toBe('agreed');
      const lane = lanes[one.which % Math.max(1, lanes.length)];
      if (!lane || one.off === 0) return;
      const claim = childrenOf(project, 'claim', lane.id)[one.which % 2]!;
      const { count, unit } = claim.length as { count: number; unit: number };
      const longer = edited(project, ['claim', claim.id, 'length', { count: count + one.off, unit }]);
      expect(compareLane(longer, longer.get('lane', lane.id)!, exchange).verdict).toBe('differs');
      changed++;
    },
    projectOf,
  );
  expect(changed).toBeGreaterThan(30);
});

/** Modules of a radio unit on their dials. */
interface Dials {
  modules: { digital: boolean; bytes: number; dial: number }[];
}

const dials: fc.Arbitrary<Dials> = fc.record({
  modules: fc.array(
    fc.record({ digital: fc.boolean(), bytes: fc.integer({ min: 1, max: 4 }), dial: fc.integer({ min: 0, max: 9 }) }),
    { minLength: 1, maxLength: 4 },
  ),
});

function radioOf({ modules }: Dials): Project {
  const blocks = {
    ai: { kind: 'analogue input', table: 'input registers', first: 1, stride: 8, source: 'its manual' },
    di: { kind: 'digital input', table: 'discrete inputs', first: 1, stride: 32, source: 'its manual' },
  };
  const base = edited(smallPlant(), ['profile', 'pa', 'radioBlocks', blocks], ['port', 'pr2', 'radio.number', '2']);
  const racked = added(base, 'rack', {
    id: 'r9',
    order: 10,
    name: 'Rack',
    station: 'sb',
    size: 8,
    first: 0,
    gaps: true,
    zones: {},
    takes: [],
  });
  const own = modules.map(({ digital, bytes, dial }, i): Module => ({
    id: `n${i}`,
    order: i,
    name: `N${i}`,
    rack: 'r9',
    slot: i,
    orderCode: 'R',
    outputs: 0,
    dialRead: true,
    // An analogue value takes a whole word.
    kind: digital ? 'digital input' : 'analogue input',
    inputs: digital ? bytes : bytes * 2,
    dial: String(dial),
  }));
  const area = (id: string, order: number, kind: 'input registers' | 'discrete inputs', unit: 1 | 16) => ({
    ...newArea(id, order, 'sa', kind),
    kind,
    words: 400,
    writers: [],
    views: { ref: { ...newView(10, 'reference 5'), table: kind, unit } },
  });
  const areas = added(
    added(racked, 'module', ...own),
    'area',
    area('ir', 80, 'input registers', 16),
    area('di', 90, 'discrete inputs', 1),
  );
  const exchange = added(areas, 'exchange', {
    ...newExchange('air2', 90, 'Mirrored', 'radio-mirror'),
    kind: 'gateway memory',
    transfer: 'cyclic blocks',
    cadence: 1000,
    onLoss: { sinks: 'hold the last value', source: 'is told by a status' },
  });
  const ends = added(
    exchange,
    'end',
    newEnd('base', 10, 'air2', 'sa', 'pr1', 'listens'),
    newEnd('unit', 20, 'air2', 'sb', 'pr2', 'calls'),
  );
  let n = 0;
  const changes = lanesFromDials(ends, ends.get('exchange', 'air2')!, () => `made${String(n++).padStart(4, '0')}`);
  return applied(ends, { id: 'c', label: '', changes });
}

test('lanes that follow from dials agree: the bits of a half word, too, come to the inputs that their dial says', () => {
  holds(
    'made from dials',
    dials,
    150,
    (one) => {
      const project = radioOf(one);
      const exchange = project.get('exchange', 'air2')!;
      const lanes = childrenOf(project, 'lane', 'air2');
      expect(lanes).toHaveLength(one.modules.length);
      for (const lane of lanes) {
        const { verdict, sides } = compareLane(project, lane, exchange);
        expect(verdict).toBe('agreed');
        // As many bits at the base as at the unit, in the table that the sort of module has.
        const bits = sides.map(({ block }) => block!.spans.reduce((sum, span) => sum + span.end - span.start, 0));
        expect(bits[0]).toBe(bits[1]);
      }
    },
    radioOf,
  );
});
