import { newPort } from '../../../create/new-entities.js';
import type { Project } from '../../../model/project.js';
import { apply } from '../../../change/apply.js';
import type { FieldEdit as FieldResult } from '../../../text/field-edit.js';
import { noWayBack, routedPlant } from '../../../testing/routed-plant.testing.js';
import {
  added,
  codesOf,
  edited,
  fixed,
  theFinding,
  wordsOf,
  type FieldEdit,
} from '../../../testing/two-stations.testing.js';
import { editField } from '../../../fields/field.js';
import { addPermitted, PERMITTED } from '../../../fields/route.js';
import { permittedOf, typing } from '../../../testing/typing.testing.js';

const plant = (...edits: FieldEdit[]): Project => edited(routedPlant(), ...edits);
const stated = (text: string): FieldEdit => ['route', 'to-t', 'stated', text];

test('each text that a program may build is judged against the station that it leads to', () => {
  const route = plant().get('route', 'to-d') ?? [...plant().all('route')].find((r) => r.built)!;
  const permitted = {
    d: { order: 10, text: 'Net 1 > 10.0.1.2 / Bus > 9' },
    t: { order: 20, text: 'Net 1 > 10.0.1.2 / Net 2 > 10.0.2.9 / rack > 0' },
  };
  const built = (permitted: object): FieldEdit => [
    'route',
    route.id,
    'built',
    { from: 'a tag', checked: true, permitted },
  ];
  const unsaid = plant(built(permitted));
  expect(wordsOf(theFinding(unsaid, 'ROU 8'))).toContain('A → D');
  const said = plant(built({ ...permitted, t: { ...permitted.t, to: 't' } }));
  expect(codesOf(said)).toEqual([]);
  const wrong = plant(
    built({ ...permitted, t: { ...permitted.t, text: 'Net 1 > 10.0.1.2 / Net 2 > 10.0.2.9 / rack > 1', to: 't' } }),
  );
  expect(wordsOf(theFinding(wrong, 'ROU 5'))).toContain('A → T');
});

test('SIZ 7: a text that is built at run time fits into the STRING that holds it', () => {
  const route = [...plant().all('route')].find((r) => r.built)!;
  const tag = (capacity: number) =>
    added(edited(plant(), ['route', route.id, 'built.from', 'the tag Partner_Path']), 'tag', {
      id: 'path',
      order: 10,
      station: route.from,
      name: 'Partner_Path',
      place: null,
      type: { base: 'STRING', count: 1, capacity },
    });
  const { length } = Object.values(route.built!.permitted)[0]!.text;
  expect(codesOf(tag(length))).toEqual([]);
  expect(wordsOf(theFinding(tag(length - 1), 'SIZ 7'))).toContain(`Partner_Path of A: ${length - 1} characters`);
});

test('a text that a program may build takes the name of the station that it leads to', () => {
  const project = plant();
  const route = [...project.all('route')].find((r) => r.built)!;
  const after = (edit: FieldResult) => {
    expect(edit.problem).toBeNull();
    const applied = apply(project, { id: 's', label: '', changes: edit.changes });
    if (!applied.ok) throw new Error(applied.refusal.sentence);
    return project.with(applied.entities).get('route', route.id)!.built!.permitted;
  };
  expect(after(editField(PERMITTED, 'to', permittedOf(route, 'one'), 't', typing(project))).one!.to).toBe('t');
  expect(after(editField(PERMITTED, 'to', permittedOf(route, 'one'), 'D', typing(project))).one!.to).toBeUndefined();
  expect(after(addPermitted(route, 'two', 'Bus > 7')).two).toEqual({ order: 20, text: 'Bus > 7' });
  expect(after(editField(PERMITTED, 'text', permittedOf(route, 'one'), ' ', typing(project)))).toEqual({});
  expect(editField(PERMITTED, 'to', permittedOf(route, 'one'), 'Nobody', typing(project)).problem).toContain(
    'there is no station “Nobody”',
  );
});

test('where another port of the one that asks leads there, that port is named and offered first', () => {
  const project = plant(
    ['route', 'to-t', 'port', 'a2'],
    ['port', 'a2', 'enabled', true],
    ['port', 'a2', 'network', 'n3'],
    ['port', 'a2', 'address', '10.0.3.1'],
    stated(''),
  );
  const finding = theFinding(project, 'ROU 1');
  expect(wordsOf(finding)).toContain('over a1 there is one');
  expect(fixed(project, finding).get('route', 'to-t')!.port).toBe('a1');
});

test('the plant of these tests has nothing to find', () => expect(codesOf(plant())).toEqual([]));

/** Edits that bring a finding, both of its values, and what is left after its first fix; null: it has none. */
const CASES: readonly [what: string, code: string, edits: FieldEdit[], says: string[], left: string[] | null][] = [
  [
    'a coupler hands nothing of others on',
    'ROU 1',
    [['route', 'to-t', 'to', 'q'], stated('')],
    ['A asks for requests', 'K is a coupler: it passes the data of its own coupler area, and no requests'],
    [],
  ],
  [
    'a port that is switched off, the first that stops it',
    'ROU 2',
    [['port', 'r2', 'enabled', false]],
    ['hop 2: r2 of R is enabled', 'it is not enabled'],
    null,
  ],
  ['a port without an address', 'ROU 2', [['port', 't2', 'address', '']], ['has an address', 'it has none yet'], null],
  [
    'a text that leads to a station that does not hand it on',
    'ROU 3',
    [['profile', 'router', 'forwards', { s: { what: 'service access', source: 's' } }]],
    ['R passes requests', 'R passes service access, and no requests'],
    null,
  ],
  [
    'a port that takes other traffic only',
    'ROU 3',
    [['port', 't2', 'takes', ['firmware']]],
    ['takes requests', 'it takes firmware'],
    null,
  ],
  [
    'the hop through the backplane left out',
    'ROU 4',
    [stated('Net 1 > 10.0.1.2 / Net 2 > 10.0.2.9')],
    ['typed: Net 1 > 10.0.1.2 / Net 2 > 10.0.2.9', 'right is Net 1 > 10.0.1.2 / Net 2 > 10.0.2.9 / rack > 0'],
    [],
  ],
  [
    'a slot that holds a module, and no CPU',
    'ROU 5',
    [stated('Net 1 > 10.0.1.2 / Net 2 > 10.0.2.9 / rack > 1')],
    ['slot 1 holds link, no CPU', 'rack > 0'],
    [],
  ],
  [
    'slot 99',
    'ROU 5',
    [stated('Net 1 > 10.0.1.2 / Net 2 > 10.0.2.9 / rack > 99')],
    ['slot 99 holds nothing', 'rack > 0'],
    [],
  ],
  [
    'an engineer’s computer with two ports, and none chosen',
    'ROU 6',
    [
      ['station', 'a', 'roles', ['workstation']],
      ['route', 'to-t', 'port', null],
      ['route', 'to-r', 'port', 'a1'],
    ],
    ['A has 2 ports, and none is chosen'],
    [],
  ],
  [
    'a name that is not there',
    'ROU 8',
    [stated('Net 7 > 10.0.1.2 / Net 2 > 10.0.2.9 / rack > 0')],
    ['typed: Net 7 > 10.0.1.2', 'right is Net 1 > 10.0.1.2'],
    [],
  ],
  [
    'wrong separators',
    'ROU 8',
    [stated('Net 1, 10.0.1.2, rack, 0')],
    ['typed: Net 1, 10.0.1.2', 'right is Net 1 > '],
    [],
  ],
  [
    'separators of another type of station: one fault, however many hops it swallows',
    'ROU 8',
    [stated('Net 1 > 10.0.1.2 > Net 2 > 10.0.2.9 > rack > 0')],
    ['its parts are not separated as this station does it', 'right is Net 1 > 10.0.1.2 / Net 2 > 10.0.2.9 / rack > 0'],
    [],
  ],
  ['an empty hop', 'ROU 8', [stated('Net 1 > 10.0.1.2 / / rack > 0')], ['hop 2 is empty', 'right is Net 1 > '], []],
  [
    '10,000 characters',
    'ROU 8',
    [stated('Net 1 > 10.0.1.2 / '.repeat(527))],
    ['10012 characters; a route has at most 1000', 'right is Net 1 > '],
    [],
  ],
  [
    'too many hops, round and round',
    'ROU 8',
    [stated(Array.from({ length: 30 }, () => 'Net 1 > 10.0.1.2').join(' / '))],
    ['30 hops; a route has at most 20', 'right is Net 1 > '],
    [],
  ],
  [
    'a text built at run time that nothing keeps within what is permitted',
    'ROU 8',
    [['route', 'to-d', 'built.checked', false]],
    ['built from a tag', 'permitted: 1 text'],
    null,
  ],
  [
    'a router on the way that is drawn in nowhere',
    'ROU 10',
    [
      ['helper', 'helper', 'standsFor', 'k'],
      ['helper', 'helper', 'address', '8'],
    ],
    ['A goes through R', 'the project of D knows no R'],
    [],
  ],
  [
    'drawn in at another address than it has',
    'ROU 10',
    [['helper', 'helper', 'address', '6']],
    ['placeholder at 6', 'R is at 5'],
    [],
  ],
  ['two helper objects at one address', 'ROU 10', [['helper', 'other', 'address', '5']], ['R at 5', 'K at 5'], null],
  [
    'a station that must not be reached, and is',
    'ROU 11',
    [['expectation', 'must', 'must', 'must not reach']],
    ['A must not reach T', 'it does over Net 1, through R, over Net 2'],
    null,
  ],
  [
    'a station that must be reached, and is not',
    'ROU 11',
    [['expectation', 'not', 'must', 'must reach']],
    ['A must reach Q', 'K is a coupler'],
    null,
  ],
  [
    'what was drawn in, and is still there',
    'DOC 6',
    [['helper', 'helper', 'presence', 'found']],
    ['found in the project of D: R as router'],
    [],
  ],
  [
    'a firmware that is too old to hand it on',
    'HWS 8',
    [['station', 'r', 'firmware.f.version', '2.3']],
    ['passes program transfer from firmware 2.4 on; it has 2.3'],
    null,
  ],
];

test.each(CASES)('%s: %s', (_, code, edits, says, left) => {
  const project = plant(...edits);
  const finding = theFinding(project, code);
  for (const text of says) expect(wordsOf(finding)).toContain(text);
  if (left) expect(codesOf(fixed(project, finding))).toEqual(left);
});

test('ROU 7: two ways that are equally good, until a text says which', () => {
  const second = added(
    plant(
      stated(''),
      ['port', 'a2', 'enabled', true],
      ['route', 'to-t', 'port', null],
      ['route', 'to-r', 'port', 'a1'],
    ),
    'port',
    {
      ...newPort('t1', 30, 't', 'n1'),
      address: '10.0.1.9',
      mask: '255.255.255.0',
      module: 'link',
    },
  );
  const words = wordsOf(theFinding(second, 'ROU 7'));
  expect(words).toContain('over Net 1');
  expect(words).toContain('over Net 2');
  expect(codesOf(edited(second, ['route', 'to-t', 'port', 'a1']))).not.toContain('ROU 7');
});

test('ROU 7: two ports of the one that asks on one network are two ways, too', () => {
  const second = added(plant(['route', 'to-r', 'stated', '']), 'port', {
    ...newPort('a9', 90, 'a', 'n1'),
    name: 'second adapter',
    address: '10.0.1.77',
    mask: '255.255.255.0',
  });
  expect(wordsOf(theFinding(second, 'ROU 7'))).toContain('by second adapter 10.0.1.77');
  expect(codesOf(edited(second, ['route', 'to-r', 'port', 'a1']))).not.toContain('ROU 7');
});

test('ROU 9: the request arrives, and the answer finds no way back', () => {
  const changes = noWayBack(plant())!;
  const applied = apply(plant(), { id: 'b', label: '', changes });
  if (!applied.ok) throw new Error(applied.refusal.sentence);
  const words = wordsOf(theFinding(plant().with(applied.entities), 'ROU 9'));
  expect(words).toContain('T has 10.0.2.2 as its gateway');
  expect(words).toContain('it has none');
});
