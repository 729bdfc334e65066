import { set } from '../change/make.js';
import type { Change } from '../change/change.js';
import { protocolsFor } from '../exchange/kind-protocols.js';
import { laneName } from '../lane/compare.js';
import type { Exchange, OnLoss, OwnFacts, StartStep } from '../model/exchange.js';
import { childrenOf, orderAfter } from '../model/order.js';
import type { Project } from '../model/project.js';
import { BINDINGS, CARRIED, EXCHANGE_KINDS, NETWORK_KINDS, ON_RETURN, PLACES, SINKS_ON_LOSS, SOURCE_ON_LOSS, TRANSFERS } from '../model/words.js';
import { PROTOCOL_CHOICES, protocolOf } from '../protocol/catalogue.js';
import { OTHER_FACTS, OTHER_ID } from '../protocol/other.js';
import { changed, parseWhole, parseWord, parseYes, refused, type FieldEdit } from '../text/field-edit.js';
import { parseTime } from '../text/parse-time.js';
import { entityRows, entryRows, type Entry, type Field } from './field.js';
import { ofEntity, readWords } from './simple-fields.js';

const { text, note, word, chosen, put } = ofEntity('exchange');

type TimeField = 'cadence' | 'timeout' | 'responseDelay' | 'keepAlive' | 'inactivity';
const time = (field: TimeField, title: string, what: string, help: string): Field<Exchange> => ({
  title,
  width: 92,
  help,
  examples: ['500', '500 ms', '2 s'],
  text: (exchange) => (typeof exchange[field] === 'number' ? `${exchange[field]} ms` : ''),
  edit: (exchange, typed) => {
    if (typed === '') return put(exchange, field, null);
    const read = parseTime(typed, what);
    return read.ok ? put(exchange, field, read.value) : refused(read);
  },
});

const lost = (exchange: Exchange, field: keyof OnLoss, value: string | undefined): FieldEdit => {
  const next = { ...exchange.onLoss, [field]: value };
  if (value === undefined) delete next[field];
  return put(exchange, 'onLoss', Object.keys(next).length === 0 ? null : next);
};
/** What is decided for the time when the link is gone. */
const loss = (field: 'sinks' | 'source' | 'back', title: string, words: readonly string[], what: string, help: string): Field<Exchange> => ({
  title,
  width: 120,
  path: ['onLoss', field],
  help,
  options: words,
  examples: [words[0]!],
  text: ({ onLoss }) => onLoss?.[field] ?? '',
  shown: ({ onLoss }) => (onLoss?.[field] ? undefined : 'not decided'),
  edit: (exchange, typed) => {
    if (typed === '') return lost(exchange, field, undefined);
    const read = parseWord(typed, words, what);
    return read.ok ? lost(exchange, field, read.value) : refused(read);
  },
});

const factsOf = (exchange: Exchange): OwnFacts => exchange.facts ?? OTHER_FACTS;
const fact = (exchange: Exchange, next: Partial<OwnFacts>): FieldEdit => put(exchange, 'facts', { ...factsOf(exchange), ...next });
/** What a protocol file would say, for one that has none. */
const ofOther = (field: keyof OwnFacts, title: string): Pick<Field<Exchange>, 'title' | 'width' | 'path' | 'has'> => ({
  title,
  width: 110,
  path: ['facts', field],
  has: ({ protocol }) => protocol === OTHER_ID,
});

/** All exchanges, and what concerns each as a whole. */
export const EXCHANGE = entityRows('exchange', 'exchange', {
  open: { title: 'Open', width: 52, quiet: true, path: null, text: () => 'Open' },
  name: {
    title: 'Exchange',
    width: [140, 1],
    names: true,
    counts: true,
    ...text('name'),
    examples: ['Pump duty'],
    help: 'What the agreement is called.',
  },
  kind: {
    title: 'Kind',
    width: 118,
    ...word('kind', EXCHANGE_KINDS, 'kind of exchange'),
    examples: ['peer connection'],
    help: 'What sort of agreement it is; it decides what its sheet asks for.',
  },
  protocol: {
    title: 'Protocol',
    width: 164,
    text: (exchange) => protocolOf(exchange).name,
    options: ({ kind }) => protocolsFor(kind).map(({ name }) => name),
    edit: editProtocol,
    examples: ['Modbus TCP'],
    help: 'The protocol that both ends speak.',
  },
  transfer: {
    title: 'Transfer',
    width: 100,
    ...word('transfer', TRANSFERS, 'way of transfer'),
    options: (exchange) => protocolOf(exchange).transfers,
    examples: ['requests'],
    help: 'Whether one end asks, or both send by themselves.',
  },
  cadence: {
    ...time('cadence', 'Interval', 'an interval', 'How often it is moved, in ms; empty: on request.'),
    shown: ({ cadence }) => (cadence === null ? 'on request' : undefined),
  },
  ends: {
    title: 'Between',
    width: [150, 1],
    path: null,
    text: (exchange, project) => {
      const names = endNames(project, exchange).map(([, name]) => name);
      return names.join(names.length > 2 ? ', ' : ' and ');
    },
  },
  lanes: { title: 'Its lanes', width: [112, 1], path: null, text: () => '' },
  agreed: { title: 'Agreed', width: 78, right: true, path: null, text: () => '' },
  findings: { title: 'Findings', width: 100, path: null, text: () => '' },
  timeout: time('timeout', 'Timeout', 'a timeout', 'After how long the one that asks gives up.'),
  responseDelay: {
    ...time('responseDelay', 'Response delay', 'a response delay', 'From the end of a request to its answer, at most.'),
    has: ({ transfer }) => transfer === 'requests',
  },
  keepAlive: time('keepAlive', 'Keep-alive', 'a keep-alive time', 'After how long an idle connection is asked whether it stands.'),
  inactivity: time('inactivity', 'Closed when quiet for', 'an inactivity time', 'After how long the answering end closes a connection that was quiet.'),
  binding: {
    title: 'Bound',
    width: 110,
    has: ({ kind }) => kind === 'tag map',
    ...chosen('binding', BINDINGS, 'binding', null),
    shown: ({ binding }) => (binding ? undefined : 'as the protocol has it'),
    examples: [BINDINGS[0]],
    help: 'By what the two ends find each other’s data.',
  },
  sinks: loss('sinks', 'On a lost link the sinks', SINKS_ON_LOSS, 'behaviour of the sinks', 'What those that take data do when none comes.'),
  source: loss('source', 'The source’s program', SOURCE_ON_LOSS, 'behaviour of the source', 'What the program that gives data does when nobody takes it.'),
  back: loss('back', 'When it is back, outputs', ON_RETURN, 'action on reconnection', 'What happens with outputs when the link is back.'),
  notRepeated: {
    title: 'Not sent again',
    width: [120, 1],
    path: ['onLoss', 'notRepeated'],
    text: ({ onLoss }) => onLoss?.notRepeated ?? '',
    edit: (exchange, typed) => lost(exchange, 'notRepeated', typed || undefined),
    examples: ['start and stop'],
    help: 'What is not sent again after the link is back.',
  },
  watchedBy: {
    title: 'Heartbeat or status',
    width: [120, 1],
    ...note('watchedBy'),
    shown: ({ watchedBy }, project) => {
      const lane = watchedBy ? project.get('lane', watchedBy) : undefined;
      return lane ? laneName(project, lane) : watchedBy ? undefined : 'no heartbeat, no status';
    },
    examples: [],
    help: 'The lane by which each end sees that the other is there.',
  },
  factName: {
    ...ofOther('name', 'Called'),
    text: (exchange) => factsOf(exchange).name,
    edit: (exchange, name) => fact(exchange, { name }),
    examples: ['line protocol'],
    help: 'What the protocol is called.',
  },
  carries: {
    ...ofOther('carries', 'Carries'),
    text: (exchange) => factsOf(exchange).carries,
    options: CARRIED,
    edit: (exchange, typed) => {
      const carries = parseWord(typed, CARRIED, 'kind of load');
      return carries.ok ? fact(exchange, { carries: carries.value }) : refused(carries);
    },
    examples: [CARRIED[0]],
    help: 'What it carries.',
  },
  places: {
    ...ofOther('places', 'Places'),
    text: (exchange) => factsOf(exchange).places,
    options: PLACES,
    edit: (exchange, typed) => {
      const places = parseWord(typed, PLACES, 'way to compare places');
      return places.ok ? fact(exchange, { places: places.value }) : refused(places);
    },
    examples: [PLACES[0]],
    help: 'How the places of both ends are held against each other.',
  },
  tcpPort: {
    ...ofOther('tcpPort', 'Default port'),
    text: (exchange) => String(factsOf(exchange).tcpPort ?? ''),
    edit: (exchange, typed) => {
      if (typed === '') return fact(exchange, { tcpPort: null });
      const port = parseWhole(typed, 1, 65535, 'a TCP port');
      return port.ok ? fact(exchange, { tcpPort: port.value }) : refused(port);
    },
    examples: ['4001'],
    help: 'The TCP port that it answers on; empty: none.',
  },
  media: {
    ...ofOther('media', 'Runs on'),
    text: (exchange) => (factsOf(exchange).media ?? []).join(', '),
    options: NETWORK_KINDS,
    edit: (exchange, typed) => {
      const found = readWords(typed, NETWORK_KINDS, 'kind of network');
      return 'changes' in found ? found : fact(exchange, { media: found.words });
    },
    examples: ['ethernet, serial line'],
    help: 'The networks that it runs on, with commas; empty: Ethernet.',
  },
  limit: {
    ...ofOther('limit', 'Bytes at most'),
    text: (exchange) => String(factsOf(exchange).limit ?? ''),
    edit: (exchange, typed) => {
      if (typed === '') return fact(exchange, { limit: null });
      const limit = parseWhole(typed.replace(/\s*bytes?$/, ''), 1, 1_000_000_000, 'a limit in bytes');
      return limit.ok ? fact(exchange, { limit: limit.value }) : refused(limit);
    },
    examples: ['200', '200 bytes'],
    help: 'Bytes of one transfer at most; empty: not known.',
  },
  unitTold: {
    ...ofOther('unitTold', 'Unit entered'),
    text: (exchange) => (factsOf(exchange).unitTold ? 'yes' : 'no'),
    options: ['yes', 'no'],
    edit: (exchange, typed) => {
      const yes = parseYes(typed);
      return yes.ok ? fact(exchange, { unitTold: yes.value }) : refused(yes);
    },
    examples: ['yes', 'no'],
    help: 'Whether the unit of the other end has to be entered.',
  },
});

function editProtocol(exchange: Exchange, text: string): FieldEdit {
  const choice = PROTOCOL_CHOICES.find((p) => p.id === text || p.name.toLowerCase() === text.toLowerCase());
  const names = PROTOCOL_CHOICES.map((p) => p.name).join(', ');
  if (!choice) return refused({ found: `“${text}” is not a protocol known here`, expected: `write ${names}` });
  const changes: Change[] = [set('exchange', exchange, ['protocol'], choice.id)];
  const next = { ...exchange, protocol: choice.id };
  const transfers = protocolOf(next).transfers;
  if (!transfers.includes(exchange.transfer)) changes.push(set('exchange', exchange, ['transfer'], transfers[0]));
  if (choice.id === OTHER_ID && !exchange.facts) changes.push(set('exchange', exchange, ['facts'], OTHER_FACTS));
  return { changes, problem: null };
}

type StepRow = Entry<'exchange', StartStep>;
const endNames = (project: Project, exchange: Exchange): [id: string, name: string][] =>
  childrenOf(project, 'end', exchange.id).map((end) => [end.id, project.get('station', end.station)?.name ?? '']);
const store = ({ entity, key, entry }: StepRow, next: Partial<StartStep>): FieldEdit => changed(set('exchange', entity, ['start', key], { ...entry, ...next }));

/** What the programs set and see, in order, until an exchange runs. */
export const STEP = entryRows<'exchange', StartStep>(
  'exchange',
  ['start'],
  'step',
)({
  number: {
    title: 'Step',
    width: 52,
    muted: true,
    path: null,
    text: ({ entity, key }) => {
      const steps = Object.entries(entity.start ?? {}).sort(([, a], [, b]) => a.order - b.order);
      return String(steps.findIndex(([id]) => id === key) + 1);
    },
  },
  end: {
    title: 'Program of',
    width: [130, 0.6],
    text: ({ entity, entry }, project) => endNames(project, entity).find(([id]) => id === entry.end)?.[1] ?? '',
    options: ({ entity }, project) => endNames(project, entity).map(([, name]) => name),
    edit: (row, typed, { project }) => {
      if (typed === '') return store(row, { end: null });
      const ends = endNames(project, row.entity);
      const end = ends.find(([, name]) => name.toLowerCase() === typed.toLowerCase());
      if (end) return store(row, { end: end[0] });
      const expected = `its ends: ${ends.map(([, name]) => name).join(', ')}`;
      return refused({ found: `“${typed}” names no end of this exchange`, expected });
    },
    examples: [],
    help: 'The station whose program does it.',
  },
  does: {
    title: 'Sets, or waits to see',
    width: [220, 2],
    text: ({ entry }) => entry.does,
    edit: (row, does) => store(row, { does }),
    examples: ['sets start'],
    help: 'What its program sets, or waits to see.',
  },
  from: {
    title: 'From its reserved block',
    width: [160, 1],
    muted: true,
    path: null,
    text: ({ entry }, project) => {
      const [area = '', reservation = '', member = ''] = (entry.member ?? '').split(' ');
      const block = project.get('area', area)?.reservations[reservation];
      const part = block?.members?.[member];
      return part ? `${part.name}, ${part.use}, of ${block?.owner ?? ''}` : '';
    },
  },
});

/** The change that puts one more step at the end. */
export function addStep(exchange: Exchange, key: string, does: string): FieldEdit {
  const step: StartStep = { order: orderAfter(Object.values(exchange.start ?? {})), end: null, does };
  return changed(exchange.start ? set('exchange', exchange, ['start', key], step) : set('exchange', exchange, ['start'], { [key]: step }));
}

/** The change that takes a step out. */
export function dropStep(exchange: Exchange, key: string): FieldEdit {
  const rest = Object.fromEntries(Object.entries(exchange.start ?? {}).filter(([id]) => id !== key));
  return put(exchange, 'start', Object.keys(rest).length === 0 ? null : rest);
}
