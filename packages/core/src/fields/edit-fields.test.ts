import { pastedPlant } from '../testing/pasted-plant.testing.js';
import { inOrder } from '../model/order.js';
import type { Project } from '../model/project.js';
import type { Entity, Kind } from '../model/kinds.js';
import { smallPlant } from '../testing/random-edits.testing.js';
import { applied, edited } from '../testing/two-stations.testing.js';
import type { FieldEdit } from '../text/field-edit.js';
import { editField } from './field.js';
import { AREA } from './area.js';
import { GROUP } from './tag-lists.js';
import { LANDING } from './landing.js';
import { MODULE } from './module.js';
import { NETWORK } from './network.js';
import { PORT } from './port.js';
import { RACK } from './rack.js';
import { STATION } from './station.js';
import { VIEW } from './view.js';
import { entryOf, typing } from '../testing/typing.testing.js';
import { addGroup } from './tag-lists.js';
import { LINE_PORT } from './line.js';
import { ETHERNET, RADIO, RADIO_UNITS, TOKEN_BUS } from './network.js';
import { fieldText, type Rows } from './field.js';
import { dropEntryWithWhatRests } from './entry-with-what-rests.js';
import type { Network } from '../model/network.js';
import type { Port } from '../model/port.js';

const start = smallPlant();
const after = (edit: FieldEdit, project: Project = start) => {
  if (edit.problem !== null) throw new Error(edit.problem);
  return applied(project, { id: 'e', label: '', changes: edit.changes });
};

/** The fields of an entity after a text was typed into one of its columns; the sentence where it was refused. */
const typingInto =
  <C extends string>(kind: Kind, id: string, run: (project: Project, column: C, text: string) => FieldEdit) =>
  (column: C, text: string, project: Project = start): Entity | string => {
    const edit = run(project, column, text);
    if (edit.problem !== null) expect(edit.changes).toEqual([]);
    return edit.problem ?? after(edit, project).get(kind, id)!;
  };

describe('a station', () => {
  const type = typingInto('station', 'sb', (project, column: keyof typeof STATION.fields, text) =>
    editField(STATION, column, project.get('station', 'sb')!, text, typing(project)),
  );

  test.each([
    ['name', ' Boiler ', { name: 'Boiler' }],
    ['roles', '', { roles: [] }],
    ['roles', 'gateway, GATEWAY, router', { roles: ['gateway', 'router'] }],
    ['party', 'ext', { party: 'outside' }],
    ['party', 'outside', { party: 'outside' }],
    ['profile', '', { profile: null }],
    ['scan', '20 ms', { scan: 20 }],
    ['scan', '', { scan: null }],
    ['runsOn', 'c', { runsOn: 'sc' }],
    ['runsOn', '', { runsOn: null }],
    ['guard', '', { guard: null }],
    ['fromOutside', '', { fromOutside: null }],
    ['supplier', ' Quay ', { supplier: 'Quay' }],
    ['firmware', '', { firmware: null }],
  ] as const)('%s “%s”', (column, text, fields) => {
    expect(type(column, text)).toMatchObject(fields);
  });

  test.each([
    ['roles', 'gateway, boss', '“boss” is not a valid role'],
    ['party', 'theirs', '“theirs” is not a valid responsibility; write ours, external, in another project'],
    ['profile', 'none', '“none” names no profile; profiles: Profile a, Profile b'],
    ['scan', 'fast', '“fast” is not a whole number; a scan time in ms is a whole number from 0 to 3600000'],
    ['scan', '20,5', 'with a comma'],
    ['runsOn', 'B', '“B” is not another station; there are A, C, D'],
    ['guard', 'x', '“x” is not a valid kind of access'],
    ['fromOutside', 'x', '“x” is not a valid kind of access from outside'],
    ['takenFrom', 'Harbour works, GateCtl', 'names no station of another project; write the project, the station there'],
    ['newest', '12', 'B is of this project; say first what was taken'],
    ['firmware', 'CPU', '“CPU” has no version; write the part and its version, as CPU 12.10'],
  ] as const)('%s refuses “%s”', (column, text, sentence) => {
    expect(type(column, text)).toContain(sentence);
  });

  test('parts of its firmware that are there keep their keys, and new ones get theirs', () => {
    const two = type('firmware', 'CPU 4.2, I/O 3.2') as { firmware: Record<string, object> };
    expect(two.firmware).toEqual({
      cpu: { order: 10, part: 'CPU', version: '4.2' },
      'part-2': { order: 20, part: 'I/O', version: '3.2' },
    });
    const project = after(editField(STATION, 'firmware', start.get('station', 'sb')!, 'v4.3', typing(start)));
    expect(fieldText(STATION, 'firmware', project.get('station', 'sb')!, project)).toBe('v4.3');
  });

  test('the newest revision of the other project stays known when another one is taken from it', () => {
    const once = edited(start, ['station', 'sb', 'takenFrom', { project: 'Harbour works', station: 'GateCtl', revision: '12', newest: '15' }]);
    expect(type('takenFrom', 'Harbour works, GateCtl, revision 13', once)).toMatchObject({
      takenFrom: { revision: '13', newest: '15' },
      party: 'in another project',
    });
    expect(type('takenFrom', 'Other works, GateCtl, 1', once)).toMatchObject({ takenFrom: { revision: '1' } });
    expect(type('newest', 'Revision 16', once)).toMatchObject({ takenFrom: { newest: '16' } });
    expect(type('newest', '', once)).toMatchObject({ takenFrom: { newest: null } });
  });
});

describe('a network', () => {
  const type = typingInto('network', 'bus', (project, column: string, text) => {
    const rows: Rows<Network> = column.startsWith('radio.')
      ? column === 'radio.id'
        ? RADIO
        : RADIO_UNITS
      : ([TOKEN_BUS, ETHERNET].find(({ fields }) => column !== 'name' && column in fields) ?? NETWORK);
    return editField(rows, column.replace('radio.', ''), project.get('network', 'bus')!, text, typing(project));
  });

  test.each([
    ['kind', 'radio', { kind: 'radio' }],
    ['wiring', 'two', { wiring: 'two-wire' }],
    ['linkRate', '1000 Mbit/s', { linkRate: 1000 }],
    ['linkRate', '', { linkRate: null }],
    ['busRate', '1.5 Mbit/s', { busRate: '1.5 Mbit/s' }],
    ['busRate', 'quick', { busRate: 'quick' }],
    ['comment', ' hall ', { comment: 'hall' }],
    ['subnet', '10.1.2.3/16', { subnet: '10.1.0.0/16' }],
    ['radio.id', ' 7 ', { radio: { id: '7' } }],
    ['radio.endUnits', '3', { radio: { endUnits: 3 } }],
  ] as const)('%s “%s”', (column, text, fields) => {
    expect(type(column, text)).toMatchObject(fields);
  });

  test.each([
    ['kind', 'string', '“string” is not a valid kind of network'],
    ['wiring', 'three', '“three” is not a valid wiring'],
    ['linkRate', '0', '0 is out of range; a rate in Mbit/s is a whole number from 1 to 400000'],
    ['subnet', '10.1.2', '10.1.2'],
    ['radio.repeaters', 'few', '“few” is not a whole number; a number of units'],
  ] as const)('%s refuses “%s”', (column, text, sentence) => {
    expect(type(column, text)).toContain(sentence);
  });

  test('what is not said is empty, also where nothing of its radio is said', () => {
    const bus = start.get('network', 'bus')!;
    expect([fieldText(RADIO, 'id', bus, start), fieldText(NETWORK, 'subnet', bus, start), fieldText(TOKEN_BUS, 'busRate', bus, start)]).toEqual([
      '',
      '',
      '500 kbit/s',
    ]);
    expect(type('radio.id', '')).toMatchObject({ radio: {} });
  });
});

describe('a port', () => {
  const type = typingInto('port', 'porta', (project, column: keyof typeof PORT.fields, text) =>
    editField(PORT, column, project.get('port', 'porta')!, text, { project: project, newId: () => 'fresh' }),
  );

  test.each([
    ['network', '', { network: null }],
    ['network', 'LINE', { network: 'line' }],
    ['address', ' 10.0.0.7 ', { address: '10.0.0.7', former: ['10.0.0.1'] }],
    ['address', '10.0.0.1', { address: '10.0.0.1', former: [] }],
    ['address', 'wherever', { address: 'wherever' }],
    ['mask', '/22', { mask: '255.255.252.0' }],
    ['mask', 'wide', { mask: 'wide' }],
    ['purpose', 'gen', { purpose: 'general' }],
    ['unit', '', { unit: null }],
    ['unit', '247', { unit: 247 }],
    ['how', 'auto', { how: 'automatic' }],
    ['enabled', 'n', { enabled: false }],
    ['former', '10.0.0.5;10.0.0.6 10.0.0.7', { former: ['10.0.0.5', '10.0.0.6', '10.0.0.7'] }],
    ['hardware', '02:00:00:00:00:09', { hardware: '02:00:00:00:00:09' }],
    ['bridgedTo', '', { bridgedTo: null }],
    ['name', ' X1 ', { name: 'X1' }],
  ] as const)('%s “%s”', (column, text, fields) => {
    expect(type(column, text)).toMatchObject(fields);
  });

  test.each([
    ['address', '10.0.0.7/33', '/33 is above /32'],
    ['purpose', 'fun', '“fun” is not a valid purpose'],
    ['unit', '256', '256 is out of range; a unit address is a whole number from 0 to 255'],
    ['how', 'by magic', '“by magic” is not a valid way to get an address'],
    ['enabled', '', '“” is not a valid answer; write yes, no'],
    ['bridgedTo', 'Z', '“Z” names no port'],
    ['bridgedTo', 'B', '“B” has 4 ports; write the host computer and its adapter'],
    ['former', Array.from({ length: 51 }, (_, i) => `10.0.1.${i}`).join(' '), '51 former addresses; a port keeps at most'],
  ] as const)('%s refuses “%s”', (column, text, sentence) => {
    expect(type(column, text)).toContain(sentence);
  });

  test('of its former addresses the last fifty are kept', () => {
    const former = Array.from({ length: 50 }, (_, i) => `10.0.1.${i}`);
    const project = edited(start, ['port', 'porta', 'former', former]);
    expect(type('address', '10.0.0.99', project)).toMatchObject({ former: [...former.slice(1), '10.0.0.1'] });
  });

  test('the way to get an address that it has already is no change', () => {
    expect(editField(PORT, 'how', start.get('port', 'porta')!, 'by hand', { project: start, newId: () => '' }).changes).toEqual([]);
  });
});

const lineRows = (field: string) => Object.values(LINE_PORT).find(({ fields }) => field in fields)!;
const typeOnLine = (port: Port, field: string, text: string) => editField(lineRows(field), field, port, text, typing(start));

describe('what is set on a line, a bus or by radio', () => {
  const type = (id: string) => typingInto('port', id, (project, field: string, text) => typeOnLine(project.get('port', id)!, field, text));

  test.each([
    ['pl2', 'unit', '7', { unit: 7 }],
    ['pl2', 'unit', '', { unit: null }],
    ['pl2', 'serial', '9600,8,e,1', { serial: '9600 8E1' }],
    ['pl2', 'serial', 'slowly', { serial: 'slowly' }],
    ['pl2', 'lineRole', 'c', { lineRole: 'calls' }],
    ['pl2', 'electrical', 'RS-422', { electrical: 'RS-422' }],
    ['pn2', 'node', ' 12 ', { node: '12' }],
    ['pn2', 'busRate', '500 kbit/s', { busRate: '500 kbit/s' }],
    ['pn2', 'busActive', 'y', { busActive: true }],
    ['pr2', 'sort', 'rep', { radio: { sort: 'repeater', id: '7', number: '2' } }],
    ['pr2', 'number', '3', { radio: { sort: 'end unit', id: '7', number: '3' } }],
    ['porta', 'sort', 'base', { radio: { sort: 'base' } }],
    ['porta', 'band', '869.5 MHz', { radio: { sort: 'end unit', band: '869.5 MHz' } }],
  ] as const)('%s, %s “%s”', (id, field, text, fields) => {
    expect(type(id)(field, text)).toMatchObject(fields);
  });

  test.each([
    ['pl2', 'lineRole', 'sings', '“sings” is not a valid role'],
    ['pl2', 'electrical', 'wool', '“wool” is not a valid standard'],
    ['pn2', 'busActive', 'perhaps', '“perhaps” is not a valid answer'],
    ['pr2', 'sort', 'x', '“x” is not a valid sort of unit'],
  ] as const)('%s, %s refuses “%s”', (id, field, text, sentence) => {
    expect(type(id)(field, text)).toContain(sentence);
  });

  test.each(['lineRole', 'electrical', 'busActive', 'busRate', 'serial', 'busProfile'] as const)('%s emptied says nothing any more', (field) => {
    const port = start.get('port', field.startsWith('bus') ? 'pn1' : 'pl1')!;
    const emptied = after(typeOnLine(port, field, ' ')).get('port', port.id)!;
    expect(fieldText(lineRows(field), field, emptied, start)).toBe('');
    expect(emptied).not.toHaveProperty(field);
  });

  test('a port that has no radio gets none by an empty text', () => {
    expect(typeOnLine(start.get('port', 'porta')!, 'band', '').changes).toEqual([]);
  });
});

describe('a rack, a module and what a controller says of it', () => {
  const rack = typingInto('rack', 'rack', (project, column: keyof typeof RACK.fields, text) =>
    editField(RACK, column, project.get('rack', 'rack')!, text, typing()),
  );
  const module = typingInto('module', 'm2', (project, column: keyof typeof MODULE.fields, text) =>
    editField(MODULE, column, project.get('module', 'm2')!, text, typing(project)),
  );
  const landing = typingInto('landing', 'l2', (project, column: keyof typeof LANDING.fields, text) =>
    editField(LANDING, column, project.get('landing', 'l2')!, text, typing(project)),
  );

  test('a rack', () => {
    expect(rack('size', '12')).toMatchObject({ size: 12 });
    expect(rack('size', '0')).toBe('0 is out of range; a number of slots is a whole number from 1 to 1000');
    expect(rack('first', '0')).toMatchObject({ first: 0 });
    expect(rack('found', '')).toMatchObject({ found: null });
    expect(rack('gaps', 'yes')).toMatchObject({ gaps: true });
    expect(rack('gaps', 'some')).toContain('“some” is not a valid answer; write yes, no');
    expect(rack('takes', ' DO-16, ,DI-32 ')).toMatchObject({ takes: ['DO-16', 'DI-32'] });
    expect(rack('name', ' Bay 2 ')).toMatchObject({ name: 'Bay 2' });
  });

  test('a module goes where its rack has room for it', () => {
    expect(module('slot', '3')).toMatchObject({ slot: 3 });
    expect(module('slot', '')).toMatchObject({ slot: null });
    expect(module('slot', '4')).toMatch(/^m2 cannot go into slot 4; /);
    expect(module('slot', 'left')).toContain('“left” is not a whole number; a slot is a whole number');
    expect(module('kind', 'analogue i')).toMatchObject({ kind: 'analogue input' });
    expect(module('kind', 'brick')).toContain('“brick” is not a valid kind of module; write CPU, head');
    expect(module('inputs', '')).toMatchObject({ inputs: 0 });
    expect(module('outputs', '100001')).toContain('a size in bytes is a whole number from 0 to 100000');
    expect(module('found', '')).toMatchObject({ found: null });
    expect(module('orderCode', ' DO-32 ')).toMatchObject({ orderCode: 'DO-32' });
  });

  test('a dial that is turned is not read in yet; typed as it stands it is', () => {
    const read = edited(start, ['module', 'm2', 'dial', '5'], ['module', 'm2', 'dialRead', true]);
    expect(module('dial', '6', read)).toMatchObject({ dial: '6', dialRead: false });
    expect(module('dial', '5', read)).toMatchObject({ dial: '5', dialRead: true });
  });

  test('a landing: its place in the notation of its controller, or as typed', () => {
    expect(landing('role', 'lis')).toMatchObject({ role: 'listener' });
    expect(landing('role', 'guest')).toContain('“guest” is not a valid role');
    expect(landing('slot', '')).toMatchObject({ slot: null });
    expect(landing('slot', '1001')).toContain('1001');
    expect(landing('slot', '1000')).toMatchObject({ slot: 1000 });
    expect(landing('outputs', 'two')).toContain('“two” is not a whole number; a size in bytes');
    expect(landing('outputsAt', 'a710')).toMatchObject({ outputsAt: { area: 'areaa', view: 'va', number: 710 } });
    expect(landing('outputsAt', ' somewhere ')).toMatchObject({ outputsAt: { typed: 'somewhere' } });
    expect(landing('outputsAt', '')).toMatchObject({ outputsAt: null });
    expect(editField(LANDING, 'outputsAt', start.get('landing', 'l2')!, 'a700', typing(start)).changes).toEqual([]);
    expect(landing('accepted', ' 4.x ')).toMatchObject({ accepted: '4.x' });
  });
});

describe('an area and a view of its own', () => {
  const area = typingInto('area', 'areaa', (project, column: keyof typeof AREA.fields, text) =>
    editField(AREA, column, project.get('area', 'areaa')!, text, typing()),
  );
  const withView = edited(start, [
    'area',
    'areaa',
    'views',
    { own: { order: 10, name: 'own', notation: 'prefix and number', prefix: 'D', unit: 16, first: 0 } },
  ]);
  const view = (column: keyof typeof VIEW.fields, text: string, project: Project = withView) => {
    const edit = editField(VIEW, column, entryOf(project.get('area', 'areaa')!, 'views', 'own'), text, typing());
    return edit.problem ?? after(edit, project).get('area', 'areaa')!.views.own!;
  };

  test('an area', () => {
    expect(area('kind', 'input i')).toMatchObject({ kind: 'input image' });
    expect(area('kind', 'in')).toContain('“in” is not a valid kind of area; write memory, input image');
    expect(area('kind', 'x')).toContain('“x” is not a valid kind of area');
    expect(area('wordBits', '8 bits')).toMatchObject({ wordBits: 8 });
    expect(area('wordBits', '12')).toContain('“12” is not a valid number of bits a word');
    expect(area('words', '0')).toContain('the size of an area in words is a whole number from 1 to 100000000');
    expect(area('writers', 'program, keys')).toMatchObject({ writers: ['program', 'keys'] });
    expect(area('writers', 'wind')).toContain('“wind” is not a valid writer of its own');
    expect(area('lastWord', ' a999 ')).toMatchObject({ lastWord: 'a999' });
  });

  test('a view: the words of each column, and nothing where nothing is meant', () => {
    expect(view('prefix', ' DM ')).toMatchObject({ prefix: 'DM' });
    expect(view('unit', '32 bits')).toMatchObject({ unit: 32 });
    expect(view('unit', '12')).toContain('“12” is not a valid number of bits a number');
    expect(view('first', '1')).toMatchObject({ first: 1 });
    expect(view('first', 'one')).toContain('the first number is a whole number');
    expect(view('written', 'hex, 4 digits')).toMatchObject({ radix: 'hexadecimal', digits: 4 });
    expect(view('written', 'roman')).toContain('“roman” is not a valid way to write numbers; write decimal');
    expect(view('byteOrder', 'low')).toMatchObject({ byteOrder: 'low first' });
    expect(view('byteOrder', '')).not.toHaveProperty('byteOrder');
    expect(view('access', 'odd')).toContain('“odd” is not a valid access');
  });

  test('another notation brings its usual unit along; the same one leaves the view as it is', () => {
    expect(view('notation', 'byte offset')).toMatchObject({ notation: 'byte offset', unit: 8 });
    expect(view('notation', 'prefix and')).toMatchObject({ prefix: 'D', name: 'own' });
    expect(view('notation', 'tea leaves')).toContain('“tea leaves” is not a valid notation');
    const bytes = edited(withView, ['area', 'areaa', 'views.own.notation', 'byte offset'], ['area', 'areaa', 'views.own.unit', 8]);
    expect(view('unit', '16', bytes)).toContain('a byte has 8 bits; choose another notation');
  });

  test('a table where the notation writes one', () => {
    const table = edited(withView, ['area', 'areaa', 'views.own.notation', 'protocol address']);
    expect(view('prefix', 'hold', table)).toMatchObject({ table: 'holding registers' });
    expect(view('prefix', 'round', table)).toContain('“round” is not a valid table');
  });

  test('a view of the profile is changed there', () => {
    expect(editField(VIEW, 'name', entryOf(start.get('area', 'areaa')!, 'views', 'va'), 'x', typing()).problem).toContain(
      'this view is one of the profile; change it there',
    );
  });
});

test('groups of a tag server are made with their names, name their stations, and go', () => {
  const made = after(addGroup(start.get('station', 'sa')!, 'g1', 'New'));
  const named = after(editField(GROUP, 'name', entryOf(made.get('station', 'sa')!, 'groups', 'g1'), ' Hall ', typing(made)), made);
  expect(named.get('station', 'sa')!.groups).toEqual({ g1: { order: 10, name: 'Hall', station: null } });
  const of = (text: string) => editField(GROUP, 'station', entryOf(named.get('station', 'sa')!, 'groups', 'g1'), text, typing(named));
  expect(after(of('b'), named).get('station', 'sa')!.groups!.g1!.station).toBe('sb');
  expect(after(of(''), named).get('station', 'sa')!.groups!.g1!.station).toBeNull();
  expect(of('Nobody').problem).toContain('there is no station “Nobody”; name one that is');
  const gone = after({ changes: dropEntryWithWhatRests(named, { kind: 'station', id: 'sa', path: ['groups', 'g1'] }), problem: null }, named);
  expect(gone.get('station', 'sa')!.groups).toEqual({});
});

test('the module that a port is on is named by its name or its slot', () => {
  const { project } = pastedPlant('West\tlarge tags by name\t10.8.5.1/24');
  const [port] = inOrder(project, 'port');
  expect(fieldText(PORT, 'module', port!, project)).toBe('Ethernet module');
  const typed = (text: string) => editField(PORT, 'module', port!, text, { project, newId: () => 'x' });
  const cpu = inOrder(project, 'module').find(({ kind }) => kind === 'CPU')!;
  for (const text of ['cpu', 'slot 0']) expect(typed(text).changes).toMatchObject([{ path: ['module'], after: cpu.id }]);
  expect(typed('').changes).toMatchObject([{ path: ['module'], after: null }]);
  expect(typed('nothing').problem).toContain('its modules are CPU, Ethernet module');
});
