import { CheckEngine } from '../check/engine.js';
import type { Project } from '../model/project.js';
import { smallPlant } from '../testing/random-edits.testing.js';
import { applied, codesOf, edited, theFinding } from '../testing/two-stations.testing.js';
import { addFigure, FIGURE_FORMS } from '../profiles/add-figure.js';
import { editFurther, furtherText } from './further-addresses.js';
import { editListening, listeningText } from './listening.js';
import { editOff, offText } from './switched-off.js';
import { POOL_UNKNOWN, tunnelText } from './service-port.js';
import type { FieldEdit } from '../text/field-edit.js';
import { editProfile, profileFigures } from '../profiles/profile-figures.js';
import { editField, fieldText } from './field.js';
import { MODULE } from './module.js';
import { RADIO_UNITS } from './network.js';
import { PORT } from './port.js';
import { STATION } from './station.js';
import { addZone, ZONE } from './rack.js';
import { entryOf, typing } from '../testing/typing.testing.js';

const start = smallPlant();
let n = 0;
const fresh = () => `fresh${n++}`;
function after(edit: FieldEdit, project: Project = start): Project {
  if (edit.problem !== null) throw new Error(edit.problem);
  return applied(project, { id: 'c', label: '', changes: edit.changes });
}
const portb = (project: Project) => project.get('port', 'portb')!;

test('the TCP port of the one protocol that a port answers is a number alone; of several, each with its name', () => {
  const one = after(editListening(start, portb(start), '1502'));
  expect(portb(one).listens).toEqual({ 'modbus-tcp': { tcpPort: 1502 } });
  expect(listeningText(one, portb(one))).toBe('1502');
  const two = after(editListening(one, portb(one), '1502 modbus tcp, 20001 DNP3'), one);
  expect(portb(two).listens).toEqual({ 'modbus-tcp': { tcpPort: 1502 }, dnp3: { tcpPort: 20001 } });
  expect(listeningText(two, portb(two))).toBe('1502 Modbus TCP, 20001 DNP3');
  expect(editListening(two, portb(two), '1502').problem).toContain('which protocol listens on 1502 is not said');
  expect(editListening(two, portb(two), '70000 DNP3').problem).toContain('70000 is out of range');
  expect(editListening(two, portb(two), '500 telepathy').problem).toContain('“telepathy” names no protocol with a TCP port');
  expect(portb(after(editListening(two, portb(two), ''), two)).listens).toEqual({});
});

test('what is switched off: a protocol in both roles or in one', () => {
  const off = after(editOff(portb(start), 'modbus tcp listens, Service access'));
  expect(offText(portb(off))).toBe('Modbus TCP listens, Service access');
  expect(portb(after(editOff(portb(off), offText(portb(off))), off))).toEqual(portb(off));
  expect(editOff(portb(start), 'web pages').problem).toContain('“web pages” names no protocol');
  expect(portb(after(editOff(portb(off), ''), off)).off).toBeUndefined();
});

test('further addresses are written with their masks, and how each is set', () => {
  const text = '10.48.20.5/24, 10.48.30.5/16 automatic';
  const more = after(editFurther(portb(start), text, fresh));
  expect(furtherText(portb(more))).toBe(text);
  expect(Object.values(portb(more).further ?? {})).toMatchObject([
    { address: '10.48.20.5', mask: '255.255.255.0', how: 'by hand' },
    { address: '10.48.30.5', mask: '255.255.0.0', how: 'automatic' },
  ]);
  expect(editFurther(portb(start), '10.48.20.5', fresh).problem).toContain('10.48.20.5 has no mask');
  expect(editFurther(portb(start), '10.48.20.05/24', fresh).problem).toContain('write 10.48.20.5/24');
  expect(editFurther(portb(start), '10.48.20.5/24 sometimes', fresh).problem).toContain('“sometimes” is not understood');
});

test('an adapter of a virtual machine names the host’s adapter', () => {
  const bridge = (text: string) => editField(PORT, 'bridgedTo', start.get('port', 'pe2')!, text, { project: start, newId: fresh });
  expect(after(bridge('C, pe3')).get('port', 'pe2')?.bridgedTo).toBe('pe3');
  expect(bridge('C').problem).toMatch(/“C” has \d ports; write the host computer and its adapter/);
  expect(bridge('Nobody').problem).toContain('“Nobody” names no port');
});

test('zones of a rack: over what is free, with kinds, a count and a gap rule of their own', () => {
  const rack = (project: Project) => project.get('rack', 'rack')!;
  const one = after(addZone(rack(start), 'z1', 'Head'));
  expect(rack(one).zones.z1).toMatchObject({ slot: 0, size: 4, kinds: [] });
  const small = after(editField(ZONE, 'size', entryOf(rack(one), 'zones', 'z1'), '1', typing()), one);
  const two = after(addZone(rack(small), 'z2', 'Modules'), small);
  expect(rack(two).zones.z2).toMatchObject({ slot: 1, size: 3 });
  const kinds = after(editField(ZONE, 'kinds', entryOf(rack(two), 'zones', 'z2'), 'digital output, analogue input', typing()), two);
  expect(rack(kinds).zones.z2?.kinds).toEqual(['digital output', 'analogue input']);
  expect(editField(ZONE, 'kinds', entryOf(rack(two), 'zones', 'z2'), 'toaster', typing()).problem).toContain('“toaster” is not a valid kind of module');
  expect(editField(ZONE, 'slot', entryOf(rack(two), 'zones', 'z2'), '9', typing()).problem).toContain('9 is out of range');
  expect(rack(after(editField(ZONE, 'first', entryOf(rack(two), 'zones', 'z2'), '1', typing()), two)).zones.z2?.first).toBe(1);
  expect(rack(after(editField(ZONE, 'gaps', entryOf(rack(two), 'zones', 'z2'), 'yes', typing()), two)).zones.z2?.gaps).toBe(true);
});

test('a found module is a revision, or another order code before it', () => {
  const found = (text: string) => after(editField(MODULE, 'found', start.get('module', 'm2')!, text, typing(start))).get('module', 'm2')?.found;
  expect(found('5.2')).toMatchObject({ orderCode: 'DO-16', revision: '5.2' });
  expect(found('DO-32 5.2')).toMatchObject({ orderCode: 'DO-32', revision: '5.2' });
  expect(found('')).toBeNull();
});

test('what the units of a radio network have in common, and how many the base is set up for', () => {
  const air = start.get('network', 'air')!;
  expect(fieldText(RADIO_UNITS, 'endUnits', air, start)).toBe('1');
  expect(after(editField(RADIO_UNITS, 'endUnits', air, '3', typing())).get('network', 'air')?.radio?.endUnits).toBe(3);
  expect(after(editField(RADIO_UNITS, 'blocked', air, '1, 7–9', typing())).get('network', 'air')?.radio?.blocked).toBe('1, 7–9');
  expect(editField(RADIO_UNITS, 'repeaters', air, 'two', typing()).problem).toContain('“two” is not a whole number');
});

test('every form of a profile’s figures is understood, shown with its value, and edited back to itself', () => {
  let project = start;
  const profile = () => project.get('profile', 'pa')!;
  const before = profileFigures(profile()).length;
  for (const form of FIGURE_FORMS) project = after(addFigure(profile(), form, fresh()), project);
  const figures = profileFigures(profile());
  expect(figures.length - before).toBe(FIGURE_FORMS.length - (start.get('profile', 'pa')!.limits.connections ? 1 : 0));
  for (const { id, value } of figures.filter((f) => f.id !== '' && f.value !== '' && f.id !== 'nameRule.form')) {
    const same = after(editProfile(profile(), id, 'value', value), project);
    expect(same.get('profile', 'pa')).toEqual(profile());
  }
  const speaks = figures.find((f) => f.id === 'speaks.modbus-tcp')!;
  const newer = after(editProfile(profile(), speaks.id, 'value', 'listens; ethernet; from 4.2'), project);
  expect(newer.get('profile', 'pa')?.speaks?.['modbus-tcp']).toMatchObject({ roles: ['listens'], firmware: '4.2' });
  expect(editProfile(profile(), speaks.id, 'value', 'shouts; air').problem).toContain('“shouts; air” is not understood');
  expect(addFigure(profile(), 'speaks Telepathy: calls; ethernet', 'f').problem).toContain('“Telepathy” names no protocol');
});

test('which traffic a port takes, and the pool of its tunnel', () => {
  const typed = (column: 'takes' | 'tunnel', text: string) => editField(PORT, column, portb(start), text, { project: start, newId: fresh });
  expect(portb(after(typed('takes', 'Program transfer, looking on')))).toMatchObject({
    takes: ['looking on', 'program transfer'],
  });
  expect(portb(after(typed('takes', '')))).not.toHaveProperty('takes');
  expect(typed('takes', 'gossip').problem).toContain('“gossip” is not a valid kind of traffic');
  const tunnelled = after(typed('tunnel', '192.168.170.1-8'));
  expect(tunnelText(portb(tunnelled))).toBe('192.168.170.1-8');
  expect(tunnelText(portb(after(typed('tunnel', POOL_UNKNOWN))))).toBe(POOL_UNKNOWN);
  // What cannot be read is kept as it was typed, and said.
  expect(typed('tunnel', 'pool 7').problem).toContain('“pool 7” is not a valid pool of addresses');
  expect(tunnelText(portb(after({ ...typed('tunnel', 'pool 7'), problem: null })))).toBe('pool 7');
});

test('a port that is switched off in a role is said to be so', () => {
  const project = edited(start, ['port', 'portb', 'off', { 'modbus-tcp': { roles: ['listens'] } }]);
  expect(offText(portb(project))).toBe('Modbus TCP listens');
});

test('a station of another project, and the revision that was taken; it is no own party then', () => {
  const sc = (project: Project) => project.get('station', 'sc')!;
  const taken = after(editField(STATION, 'takenFrom', sc(start), 'Harbour works, GateCtl, revision 12', typing(start)));
  expect(sc(taken)).toMatchObject({
    party: 'in another project',
    takenFrom: { project: 'Harbour works', station: 'GateCtl', revision: '12' },
  });
  expect(fieldText(STATION, 'takenFrom', sc(taken), taken)).toBe('Harbour works, GateCtl, 12');
  expect(editField(STATION, 'takenFrom', sc(start), 'Harbour works', typing(start)).problem).toContain('names no station of another project');
  const newer = after(editField(STATION, 'newest', sc(taken), 'revision 14', typing(taken)), taken);
  expect(theFinding(newer, 'DOC 4').params).toMatchObject({ revision: '12', newest: '14' });
  const again = after(editField(STATION, 'takenFrom', sc(newer), 'Harbour works, GateCtl, 14', typing(newer)), newer);
  expect(sc(again).takenFrom).toMatchObject({ revision: '14', newest: '14' });
  expect(codesOf(again)).not.toContain('DOC 4');
  expect(editField(STATION, 'newest', sc(start), '14', typing(start)).problem).toContain('is of this project');
  // What it says counts as described until that party has confirmed it.
  expect(new CheckEngine(taken).laneResults.get('lane3')?.verdict).toBe('described');
  expect(sc(after(editField(STATION, 'takenFrom', sc(taken), '', typing(taken)), taken)).takenFrom).toBeNull();
});
