import { newEnd, newExchange, newStation } from '../../create/new-entities.js';
import type { Project } from '../../model/project.js';
import { smallPlant } from '../../testing/random-edits.testing.js';
import { added, applied, codesOf, edited, theFinding, wordsOf } from '../../testing/two-stations.testing.js';
import { besideInputs } from './beside-inputs.js';

/**
 * A's module m4 puts two words of inputs at a700 and a701; a simulator sets 24 points from a701 on, a bit each, bound by
 * tags of A with addresses.
 */
function simulated(from = 701): Project {
  const base = smallPlant();
  const sim = added(base, 'station', { ...newStation('sim', 90, 'Sim'), roles: ['simulator'] });
  const module = added(sim, 'module', {
    id: 'm4',
    order: 40,
    name: 'Inputs',
    rack: 'rack',
    slot: 3,
    kind: 'digital input',
    orderCode: 'DI-32',
    inputs: 4,
    outputs: 0,
  });
  const landing = added(module, 'landing', {
    id: 'l9',
    order: 40,
    station: 'sa',
    module: 'm4',
    role: 'owner',
    outputsAt: null,
    slot: null,
    inputsAt: { area: 'areaa', view: 'va', number: 700 },
    inputs: null,
    outputs: null,
    orderCode: 'DI-32',
    accepted: '',
  });
  const moved = edited(landing, ['landing', 'l2', 'outputsAt', null], ['landing', 'l3', 'outputsAt', null]);
  const exchange = added(moved, 'exchange', {
    ...newExchange('trial', 80, 'Trial', 'other'),
    kind: 'tag map',
    binding: 'by name',
    cadence: 100,
  });
  let project = added(
    exchange,
    'end',
    newEnd('trials', 10, 'trial', 'sim', null, 'calls'),
    newEnd('triala', 20, 'trial', 'sa', 'porta', 'listens'),
  );
  const type = { base: 'BOOL', count: 1 };
  for (let i = 0; i < 24; i++) {
    const place = { area: 'areaa', view: 'va', number: from + (i >> 4), bit: i & 15 };
    project = added(project, 'tag', { id: `see${i}`, order: 100 + i, station: 'sa', name: `See_${i}`, type, place });
    project = added(project, 'lane', { id: `see-lane${i}`, order: i, exchange: 'trial', items: {} });
    const claim = {
      lane: `see-lane${i}`,
      name: `See_${i}`,
      length: { count: 1, unit: 1 as const },
      type,
      swap: null,
      items: {},
    };
    project = added(
      project,
      'claim',
      {
        ...claim,
        id: `a-see${i}`,
        end: 'triala',
        direction: 'reads',
        toldPlace: null,
        place: { area: `see${i}`, view: 'tag', number: 0 },
      },
      { ...claim, id: `s-see${i}`, end: 'trials', direction: 'writes', toldPlace: null, place: null },
    );
  }
  return project;
}

test('what writes each part of the image; the points that a simulator sets beside a module', () => {
  const found = besideInputs(simulated(), 'areaa')!;
  expect(found.simulated).toMatchObject({ station: 'Sim', bits: 24, overlaps: true });
  const both = found.runs.find((run) => run.writers.length > 1)!;
  expect(both).toMatchObject({ range: 'a701', bits: 16, writers: ['Trial', 'module Inputs'], simulated: true });
});

test('POS 2: sixteen points in one module are one finding, and it speaks for all of them', () => {
  const finding = theFinding(simulated(), 'POS 2');
  expect(wordsOf(finding)).toContain('Trial, 16 points from See_0');
  expect(wordsOf(finding)).toContain('module Inputs');
});

// The first address not covered by any module's or other writer's range, rounded up to whole bytes. [common practice]
test('either way out clears it: the simulator moves to free bytes, or the module does', () => {
  const project = simulated();
  const { moveSimulator, moveModules } = besideInputs(project, 'areaa')!;
  const after = (remedy: typeof moveSimulator) => applied(project, { id: 'move', label: '', changes: remedy!.changes });
  const moved = after(moveSimulator);
  expect(moveSimulator!.changes).toHaveLength(24);
  expect(besideInputs(moved, 'areaa')!.simulated).toMatchObject({ range: moveSimulator!.to, overlaps: false });
  expect(codesOf(moved)).not.toContain('POS 2');
  const others = after(moveModules);
  expect(others.get('landing', 'l9')!.inputsAt).not.toEqual(project.get('landing', 'l9')!.inputsAt);
  expect(besideInputs(others, 'areaa')!.simulated!.overlaps).toBe(false);
  expect(codesOf(others)).not.toContain('POS 2');
});

// 10 bytes kept free hold 80 discrete inputs. [common practice]
test('80 points take 10 bytes; nobody simulates: nothing to move', () => {
  expect(besideInputs(smallPlant(), 'areaa')).toMatchObject({
    simulated: null,
    moveSimulator: null,
    moveModules: null,
  });
  expect(besideInputs(simulated(720), 'areaa')!.simulated).toMatchObject({ bits: 24, overlaps: false });
});

test('outputs that a simulator reads and a module is driven by as well are asked about', () => {
  const image = edited(
    simulated(720),
    ['profile', 'pa', 'views.va.areaKind', 'output image'],
    ['area', 'areaa', 'kind', 'output image'],
    ['landing', 'l2', 'outputsAt', { area: 'areaa', view: 'va', number: 720 }],
  );
  const reading = edited(
    image,
    ...Array.from({ length: 24 }, (_, i) => [
      ['claim', `a-see${i}`, 'direction', 'writes'] as const,
      ['claim', `s-see${i}`, 'direction', 'reads'] as const,
    ]).flat(),
  );
  const finding = theFinding(reading, 'POS 2');
  expect(finding.severity).toBe('doubt');
  expect(wordsOf(finding)).toContain('Sim reads a720 in a simulation, and m2 drives the plant by it');
});
