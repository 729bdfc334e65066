import { newArea, newEnd, newExchange, newView } from '../create/new-entities.js';
import type { Project } from '../model/project.js';
import { CheckEngine } from '../check/engine.js';
import { childrenOf } from '../model/order.js';
import { smallPlant } from '../testing/random-edits.testing.js';
import { added, applied, codesOf, edited, theFinding, wordsOf } from '../testing/two-stations.testing.js';
import { lanesFromDials } from './radio-lanes.js';

/** A is the base; B is a unit with a module of two analogue inputs on dial 3, and one of 8 inputs on the same dial. */
function radio(): Project {
  const blocks = {
    ai: { kind: 'analogue input', table: 'input registers', first: 1, stride: 4, source: 'its manual' },
    di: { kind: 'digital input', table: 'discrete inputs', first: 1, stride: 16, source: 'its manual' },
  };
  const base = edited(smallPlant(), ['profile', 'pa', 'radioBlocks', blocks], ['port', 'pr2', 'radio.number', '2']);
  const rack = {
    id: 'r9',
    order: 10,
    name: 'Rack',
    station: 'sb',
    size: 4,
    first: 0,
    gaps: true,
    zones: {},
    takes: [],
  };
  const module = (id: string, slot: number, kind: 'analogue input' | 'digital input', inputs: number) => ({
    id,
    order: slot,
    name: id,
    rack: 'r9',
    slot,
    kind,
    orderCode: 'R',
    inputs,
    outputs: 0,
    dial: '3',
    dialRead: true,
  });
  const racks = added(base, 'rack', rack);
  const modules = added(
    racks,
    'module',
    module('wind', 0, 'analogue input', 4),
    module('doors', 1, 'digital input', 1),
  );
  const area = (id: string, order: number, table: 'input registers' | 'discrete inputs', unit: 1 | 16) => ({
    ...newArea(id, order, 'sa', table),
    kind: table,
    words: 100,
    writers: [],
    views: { ref: { ...newView(10, 'reference 5'), table, unit } },
  });
  const areas = added(modules, 'area', area('ir', 80, 'input registers', 16), area('di', 90, 'discrete inputs', 1));
  const exchange = added(areas, 'exchange', {
    ...newExchange('air2', 90, 'Mirrored', 'radio-mirror'),
    kind: 'gateway memory',
    transfer: 'cyclic blocks',
    cadence: 1000,
    onLoss: { sinks: 'hold the last value', source: 'is told by a status' },
  });
  return added(
    exchange,
    'end',
    newEnd('base', 10, 'air2', 'sa', 'pr1', 'listens'),
    newEnd('unit', 20, 'air2', 'sb', 'pr2', 'calls'),
  );
}
let n = 0;
function made(project: Project): Project {
  const changes = lanesFromDials(project, project.get('exchange', 'air2')!, () => `fresh${n++}`);
  return applied(project, { id: `c${n++}`, label: '', changes });
}
const places = (project: Project) =>
  childrenOf(project, 'lane', 'air2').map(({ id, madeBy }) => [
    madeBy,
    ...childrenOf(project, 'claim', id).map(
      (c) => `${c.end} ${String(c.direction)} ${(c.place as { number: number }).number}`,
    ),
  ]);

test('a lane for each module: dial 3 is register 13, and input 49, by first number and stride of the base', () => {
  const project = made(radio());
  expect(places(project)).toEqual([
    ['dial wind inputs', 'unit writes 0', 'base reads 13'],
    ['dial doors inputs', 'unit writes 2', 'base reads 49'],
  ]);
  const { laneResults } = new CheckEngine(project);
  const verdicts = childrenOf(project, 'lane', 'air2').map(({ id }) => laneResults.get(id)!.verdict);
  expect(verdicts).toEqual(['agreed', 'agreed']);
  // Made once, nothing is left to follow.
  expect(lanesFromDials(project, project.get('exchange', 'air2')!, () => 'never')).toEqual([]);
});

test('a dial that was turned, and a module that is gone, are followed; until then it is a Doubt', () => {
  const turned = edited(made(radio()), ['module', 'wind', 'dial', '6']);
  expect(wordsOf(theFinding(turned, 'DIR 7'))).toContain('its lanes no longer follow the rotary switches');
  const followed = made(turned);
  expect(places(followed)[0]).toEqual(['dial wind inputs', 'unit writes 0', 'base reads 25']);
  expect(codesOf(followed)).not.toContain('DIR 7');
  expect(places(made(edited(followed, ['module', 'doors', 'dial', ''])))).toHaveLength(1);
});
