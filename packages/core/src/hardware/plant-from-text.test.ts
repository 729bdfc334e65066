import { childrenOf, inOrder } from '../model/order.js';
import type { Project } from '../model/project.js';
import { placeText } from '../place/place-text.js';
import { checkedPlant, newId, pastedPlant } from '../testing/pasted-plant.testing.js';
import { plantFromText } from './plant-from-text.js';

const HEAD = 'Station\tSlot\tOrder code\tDescription\tRevision\tIn\tOut\tOwner\tAccepts';
const RACK = [
  'FarRack\t\tBR-10\tRack, 10 slots',
  'FarRack\t0\tIM-1\tHead\t3.1',
  '\t1\tDI-16\tDigital input\t2.0\t2\t\tLineCtl\t2.x',
  '\t2\tDO-16\tDigital output\t1.4\t\t2\tLineCtl',
  '\t3\tAI-4\tAnalogue input\t5.2\t8\t\tLineCtl\t5.x',
];
const landedAt = (project: Project) =>
  inOrder(project, 'landing').map(({ slot, accepted, inputsAt, outputsAt }) => {
    const at = inputsAt ?? outputsAt;
    return [slot, accepted, at && !('typed' in at) ? placeText(project, at) : at];
  });

test('stations, a hardware list among them and the exchange behind it: module after module lands with its owner', () => {
  const { project, problems } = pastedPlant(
    'LineCtl\tbyte memory\t10.8.3.1/24',
    '',
    HEAD,
    ...RACK,
    '',
    'LineCtl → FarRack',
  );
  expect(problems).toEqual([]);
  expect(inOrder(project, 'station').map(({ name, roles }) => [name, roles])).toEqual([
    ['LineCtl', ['controller']],
    ['FarRack', ['remote I/O head']],
  ]);
  expect(inOrder(project, 'rack')).toMatchObject([{ size: 10, addressesFollow: true }]);
  // What an owner accepts is as written, else the revision of the list; two bytes, then eight.
  expect(landedAt(project)).toEqual([
    [1, '2.x', '%IB0'],
    [2, '1.4', '%QB0'],
    [3, '5.x', '%IB2'],
  ]);
  expect(inOrder(project, 'exchange')).toMatchObject([{ kind: 'remote I/O' }]);
  expect(checkedPlant(project).verdicts).toEqual(['agreed', 'agreed', 'agreed']);
});

test('addresses of the list are taken as written, one that is none is kept as typed, and the rack does not follow', () => {
  const head = `${HEAD}\tInput address\tOutput address`;
  const { project } = pastedPlant(
    'LineCtl\tbyte memory\t10.8.3.1/24',
    head,
    'FarRack\t1\tDI-16\tDigital input\t2.0\t2\t\tLineCtl\t\t%IB64\t',
    '\t2\tDO-16\tDigital output\t1.4\t\t2\tLineCtl\t\t\tnowhere',
  );
  expect(landedAt(project)).toEqual([
    [1, '2.0', '%IB64'],
    [2, '1.4', { typed: 'nowhere' }],
  ]);
  expect(inOrder(project, 'rack')[0]!.addressesFollow).toBeUndefined();
});

test('a second owner only listens; an owner that is no station is told at its row', () => {
  const { project } = pastedPlant(
    'A\tbyte memory\t10.8.3.1/24',
    'B\tbyte memory\t10.8.3.2',
    '',
    HEAD,
    'Far\t1\tDI-16\tDigital input\t2.0\t2\t\tA',
  );
  const more = plantFromText(
    project,
    [HEAD, 'Far\t1\tDI-16\tDigital input\t2.0\t2\t\tB', 'Far\t2\tDI-16\tDigital input\t2.0\t2\t\tC'].join('\n'),
    newId,
  );
  const roles = more.changes.flatMap(({ kind, after }) =>
    kind === 'landing' ? [(after as { role: string }).role] : [],
  );
  expect(roles).toEqual(['listener']);
  expect(more.problems).toEqual(['line 3: its owner “C” is no station; there are A, B, Far']);
});

test('a panel of the list is a station and no module; rows with rotary switches make a radio unit', () => {
  const { project } = pastedPlant(
    'Station\tOrder code\tDescription\tRotary switch\tRead in\tIn',
    'Hall\tTP-12\tOperator panel 12"',
    'Roof\tAI-4\tAnalogue input\t4\tno\t8',
  );
  expect(inOrder(project, 'station').map(({ name, roles, typeText }) => [name, roles, typeText])).toEqual([
    ['Hall', ['operator panel'], 'Operator panel 12"'],
    ['Roof', ['radio unit'], undefined],
  ]);
  expect(inOrder(project, 'module')).toMatchObject([{ kind: 'analogue input', dial: '4', dialRead: false, inputs: 8 }]);
});

test('lines keep their numbers whatever stands between them, and lines of none are told', () => {
  const { problems, project, left } = pastedPlant(
    'A\tregisters\t10.8.3.1/24',
    '',
    HEAD,
    'Far\tx\tDI-16\tDigital input',
    '',
    'A → Nobody',
    'route A → Far, program transfer',
  );
  expect(problems).toEqual([
    'line 4: slot “x” is not a valid slot; write a whole number',
    'line 6: “A → Nobody” does not name two stations of this project',
    'line 7: there is no station “Far”; name one that is, as A',
  ]);
  expect(project.count('route')).toBe(0);
  // What was not taken, to be put right: rows of a hardware list under their headings.
  expect(left).toEqual([HEAD, 'Far\tx\tDI-16\tDigital input', 'A → Nobody', 'route A → Far, program transfer']);
});

test('a list of stations alone is as before; a communication module begins with its block and its rack', () => {
  const { project } = pastedPlant('Name\tType\tAddress', 'Tank\tcommunication module\t10.8.4.11/24');
  expect(inOrder(project, 'station')).toMatchObject([{ name: 'Tank' }]);
  const [area] = inOrder(project, 'area');
  expect(Object.values(area!.reservations)).toMatchObject([
    { start: 3200, length: 256, owner: 'Communication module' },
  ]);
  const [rack] = inOrder(project, 'rack');
  expect(Object.values(rack!.zones).map(({ kinds }) => kinds[0])).toEqual(['communication', 'digital input']);
  const module = childrenOf(project, 'module', rack!.id).find(({ kind }) => kind === 'communication');
  expect(inOrder(project, 'port')).toMatchObject([{ address: '10.8.4.11', module: module!.id }]);
});
