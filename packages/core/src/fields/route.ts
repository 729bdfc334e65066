import { set } from '../change/make.js';
import { inOrder, orderAfter } from '../model/order.js';
import type { Project } from '../model/project.js';
import type { PermittedText, Route } from '../model/route.js';
import type { Station } from '../model/station.js';
import { EXPECTED_REACH, PRESENCES, TRAFFICS } from '../model/words.js';
import { portsOf } from '../route/ports-of.js';
import { changed, parseWhole, refused, type FieldEdit } from '../text/field-edit.js';
import { entityRows, entryRows } from './field.js';
import { noStation, ofEntity, stationNamed } from './simple-fields.js';

const routes = ofEntity('route');
const expectations = ofEntity('expectation');
const helpers = ofEntity('helper');

/** How requests travel from one station to another. */
export const ROUTE = entityRows('route', 'route', {
  from: {
    title: 'From',
    width: [110, 1],
    names: true,
    ...routes.station('from'),
    edit: (route, typed, { project }) => editPartner(route, 'from', typed, project),
    examples: [],
    help: 'The station that asks.',
  },
  to: {
    title: 'To',
    width: [110, 1],
    names: true,
    ...routes.station('to'),
    edit: (route, typed, { project }) => editPartner(route, 'to', typed, project),
    examples: [],
    help: 'The station that is asked.',
  },
  port: {
    title: 'Own port',
    width: [100, 0.9],
    names: true,
    text: ({ port }, project) => {
      const chosen = port ? project.get('port', port) : undefined;
      return chosen ? chosen.name || chosen.address : 'any';
    },
    options: ({ from }, project) => ['any', ...ownPortsOf(project, from).map(({ name }) => name)],
    edit: editOwnPort,
    examples: ['any'],
    help: 'The own port that its first hop leaves by; any where it does not matter.',
  },
  traffic: {
    title: 'For',
    width: 122,
    ...routes.word('traffic', TRAFFICS, 'kind of traffic'),
    examples: ['requests'],
    help: 'What it is used for.',
  },
  way: { title: 'Way', width: [180, 1.8], names: true, path: null, text: () => '' },
  slot: {
    title: 'Slot of the CPU',
    width: 90,
    right: true,
    text: ({ slot }) => (typeof slot === 'number' ? String(slot) : ''),
    edit: (route, typed) => {
      if (typed === '') return changed(set('route', route, ['slot'], null));
      const slot = parseWhole(typed, 0, 1000, 'a slot');
      return slot.ok ? changed(set('route', route, ['slot'], slot.value)) : refused(slot);
    },
    examples: ['2'],
    help: 'Where its rack has several CPUs: the slot of the one that is meant.',
  },
  stated: {
    title: 'Text as typed',
    width: [170, 1.8],
    names: true,
    mono: true,
    ...routes.text('stated'),
    shown: ({ stated, built }) => {
      if (stated !== '' || !built) return undefined;
      const permitted = Object.values(built.permitted).length;
      return permitted === 1 ? '1 text, built at run time' : `${permitted} texts, built at run time`;
    },
    examples: ['1,10.48.10.31,2,0'],
    help: 'The text of the route as it was typed at the station that asks.',
  },
  comment: {
    title: 'Comment',
    width: [90, 1],
    names: true,
    ...routes.note('comment'),
    examples: ['for the recipe'],
    help: 'Anything worth knowing.',
  },
});

/** Who must, or must not, reach whom. */
export const EXPECTATION = entityRows('expectation', 'expectation', {
  from: {
    title: 'Station',
    width: [110, 1],
    names: true,
    ...expectations.station('from'),
    edit: (expected, typed, { project }) => {
      const found = stationNamed(project, typed);
      return found ? expectations.put(expected, 'from', found.id) : noStation(project, typed);
    },
    examples: [],
    help: 'The station that asks.',
  },
  must: {
    title: 'Expected',
    width: 122,
    ...expectations.word('must', EXPECTED_REACH, 'expectation'),
    examples: [EXPECTED_REACH[0]],
    help: 'Whether it must reach the other, or must not.',
  },
  to: {
    title: 'The other',
    width: [110, 1],
    names: true,
    ...expectations.station('to'),
    edit: (expected, typed, { project }) => {
      const found = stationNamed(project, typed);
      return found ? expectations.put(expected, 'to', found.id) : noStation(project, typed);
    },
    examples: [],
    help: 'The station that is asked.',
  },
  traffic: {
    title: 'With',
    width: 122,
    ...expectations.word('traffic', TRAFFICS, 'kind of traffic'),
    examples: ['requests'],
    help: 'With what kind of traffic.',
  },
  holds: { title: 'Met', width: 60, path: null, text: () => '…' },
  why: {
    title: 'Through what, or what stops it',
    width: [200, 2],
    names: true,
    muted: true,
    path: null,
    text: () => '',
  },
  back: { title: 'Return path', width: [160, 1.6], names: true, muted: true, path: null, text: () => '' },
  reason: {
    title: 'Reason',
    width: [110, 1],
    names: true,
    ...expectations.note('reason'),
    examples: ['the office stays outside'],
    help: 'Why it is expected.',
  },
});

/** What has to be drawn into the far station's own project for a route, and is taken out of it again. */
export const HELPER = entityRows('helper', 'placeholder station', {
  station: { title: 'In the project of', width: [110, 0.9], names: true, text: nameOf('station') },
  standsFor: { title: 'Stands for', width: [100, 0.9], names: true, text: nameOf('standsFor') },
  drawnAs: {
    title: 'Added as',
    width: 90,
    ...helpers.text('drawnAs'),
    examples: ['controller'],
    help: 'As what it stands there.',
  },
  address: {
    title: 'Address',
    width: 90,
    mono: true,
    ...helpers.text('address'),
    examples: ['10.48.10.31', '7'],
    help: 'The address, node or unit that it is given there.',
  },
  presence: {
    title: 'It is',
    width: 86,
    ...helpers.word('presence', PRESENCES, 'presence'),
    examples: [...PRESENCES],
    help: 'Whether it is only planned, is there, or was removed again.',
  },
  brings: {
    title: 'Brings along',
    width: [140, 1.3],
    names: true,
    ...helpers.note('brings'),
    examples: ['an entry in the routing table'],
    help: 'What else it brings into that project.',
  },
  comment: {
    title: 'Comment',
    width: [180, 1.6],
    names: true,
    ...helpers.note('comment'),
    examples: ['to be removed after the tests'],
    help: 'Anything worth knowing.',
  },
});

const PERMITTED_LIST = ['built', 'permitted'];

/** Texts that a program may build while it runs. */
export const PERMITTED = entryRows<'route', PermittedText>(
  'route',
  PERMITTED_LIST,
  'text that may be built',
)({
  text: {
    title: 'As typed',
    width: [260, 2],
    names: true,
    mono: true,
    text: ({ entry }) => entry.text,
    edit: ({ entity, key }, typed) =>
      changed(typed === '' ? set('route', entity, [...PERMITTED_LIST, key], undefined) : set('route', entity, [...PERMITTED_LIST, key, 'text'], typed)),
    examples: ['1,10.48.10.31,2,0'],
    help: 'A text that the program may put together; emptied, it is not permitted any more.',
  },
  to: {
    title: 'Leads to',
    width: 140,
    names: true,
    muted: ({ entity, entry }) => (entry.to ?? entity.to) === entity.to,
    text: ({ entity, entry }, project) => project.get('station', entry.to ?? entity.to)?.name ?? '',
    options: (_, project) => inOrder(project, 'station').map(({ name }) => name),
    edit: ({ entity, key }, typed, { project }) => {
      const station = stationNamed(project, typed);
      if (typed !== '' && !station) {
        const expected = 'name the station that the text leads to';
        return refused({ found: `there is no station “${typed}”`, expected });
      }
      const own = !station || station.id === entity.to;
      return changed(set('route', entity, [...PERMITTED_LIST, key, 'to'], own ? undefined : station.id));
    },
    examples: [],
    help: 'The station that this text leads to; empty: where the route leads.',
  },
});

/** The change that permits one more text. */
export function addPermitted(route: Route, key: string, text: string): FieldEdit {
  const entry = { order: orderAfter(Object.values(route.built?.permitted ?? {})), text };
  return changed(
    route.built
      ? set('route', route, [...PERMITTED_LIST, key], entry)
      : set('route', route, ['built'], { from: 'the program', checked: false, permitted: { [key]: entry } }),
  );
}

function nameOf<F extends string>(field: F) {
  return (row: Record<F, string>, project: Project) => project.get('station', row[field])?.name ?? '';
}

/** `ControlRoom → PlantCtl`, also written with `to`, `>` or a comma: the two stations of a new route or expectation. */
export function readPair(project: Project, text: string): { from: Station; to: Station } | FieldEdit {
  const [from = '', to = '', ...more] = text.split(/\s*(?:→|->|>|,|\bto\b)\s*/i).map((part) => part.trim());
  if (from === '' || to === '' || more.length > 0) {
    const expected = 'write who asks and who is asked, as A → B';
    return refused({ found: `“${text.trim()}” names no two stations`, expected });
  }
  const [a, b] = [stationNamed(project, from), stationNamed(project, to)];
  if (!a) return noStation(project, from);
  return b ? { from: a, to: b } : noStation(project, to);
}

function editPartner(route: Route, field: 'from' | 'to', text: string, project: Project): FieldEdit {
  const found = stationNamed(project, text);
  if (!found) return noStation(project, text);
  const port = field === 'from' && found.id !== route.from ? [set('route', route, ['port'], null)] : [];
  return changed(set('route', route, [field], found.id), ...port);
}

function ownPortsOf(project: Project, from: string) {
  const station = project.get('station', from);
  return station ? portsOf(project, station) : [];
}

function editOwnPort(route: Route, text: string, { project }: { project: Project }): FieldEdit {
  if (text === '' || text === 'any') return changed(set('route', route, ['port'], null));
  const ports = ownPortsOf(project, route.from);
  const port = ports.find((p) => p.name.toLowerCase() === text.toLowerCase() || p.address === text);
  if (port) return changed(set('route', route, ['port'], port.id));
  const from = project.get('station', route.from);
  const expected = `its ports are ${ports.map((p) => p.name).join(', ') || 'none'}`;
  return refused({ found: `${from?.name ?? ''} has no port “${text}”`, expected });
}
