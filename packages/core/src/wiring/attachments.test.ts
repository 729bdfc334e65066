import fc from 'fast-check';
import { newPort, newStation } from '../create/new-entities.js';
import type { Project } from '../model/project.js';
import { smallPlant } from '../testing/random-edits.testing.js';
import { added, applied, edited } from '../testing/two-stations.testing.js';
import { attachmentsOf, attachmentWords, shortAddress } from './attachments.js';
import { copiesOf, followUp, tickCopy, untickCopy } from '../told/copies.js';
import { ledgerOf, nextFreeInLedger } from './ledger.js';
import { editAttachment } from '../fields/attachment.js';
import { editField } from '../fields/field.js';
import { LINE_PORT } from '../fields/line.js';

const typed = (project: Project, station: string, network: string, port: string | null, text: string) =>
  editAttachment(
    project,
    station,
    project.get('network', network)!,
    port === null ? null : project.get('port', port)!,
    text,
    () => 'fresh',
  );
const done = (project: Project, ...args: [string, string, string | null, string]) =>
  applied(project, { id: 'e', label: '', changes: typed(project, ...args).changes });

test('stations on several networks come first; a port on none has a line of its own', () => {
  const rows = attachmentsOf(smallPlant());
  expect(rows.map((r) => [r.station.name, Object.keys(r.ports).length, r.loose?.id ?? null])).toEqual([
    ['A', 4, null],
    ['A', 0, 'pe2'],
    ['B', 4, null],
    ['C', 2, null],
    ['C', 1, null],
    ['D', 0, null],
  ]);
});

test('a cell shows what tells the port apart on that network', () => {
  const project = edited(smallPlant(), ['network', 'net', 'subnet', '10.0.0.0/24']);
  const shown = (network: string, port: string) =>
    attachmentWords(project.get('network', network)!, project.get('port', port)!);
  expect(shown('net', 'porta')).toEqual({ address: '.1', word: 'general' });
  expect(shown('line', 'pl2')).toEqual({ address: '11', word: 'unit, answers' });
  expect(shown('line', 'pl1')).toEqual({ address: '', word: 'calls' });
  expect(shown('bus', 'pn1')).toEqual({ address: '5', word: 'node' });
  expect(shown('air', 'pr1')).toEqual({ address: '1', word: 'base' });
  const net = project.get('network', 'net')!;
  expect([shortAddress(net, '10.0.1.1'), shortAddress(net, 'x')]).toEqual(['10.0.1.1', 'x']);
});

test('typed into a cell: short and whole addresses, a purpose, free; the old address stays among the former', () => {
  const project = smallPlant();
  const port = (text: string) => done(project, 'sa', 'net', 'porta', text).get('port', 'porta')!;
  expect(port('.77').address).toBe('10.0.0.77');
  expect(port('10.0.0.78/16')).toMatchObject({ address: '10.0.0.78', mask: '255.255.0.0', former: ['10.0.0.1'] });
  expect(port('.79 panel')).toMatchObject({ address: '10.0.0.79', purpose: 'panel' });
  expect(port('I/O')).toMatchObject({ address: '10.0.0.1', purpose: 'I/O' });
  expect(port('free').address).toBe('10.0.0.45');
  expect(port('').network).toBeNull();
  expect(typed(project, 'sa', 'net', 'porta', '.300').problem).toContain('300 is no part of an address');
  expect(typed(project, 'sa', 'bus', 'pn1', '127').problem).toContain('127 is for all nodes at once');
});

test('a new member of a line takes over its settings, and the next free unit', () => {
  const next = done(smallPlant(), 'sd', 'line', null, 'free');
  expect(next.get('port', 'fresh')).toMatchObject({
    unit: 13,
    serial: '9600 8E1',
    electrical: 'RS-485',
    lineRole: 'answers',
    network: 'line',
  });
  const radio = done(smallPlant(), 'sd', 'air', null, '9');
  expect(radio.get('port', 'fresh')?.radio).toMatchObject({ sort: 'end unit', number: '9', id: '7' });
  const bus = done(smallPlant(), 'sd', 'bus', null, '7');
  expect(bus.get('port', 'fresh')).toMatchObject({ node: '7', busRate: '500 kbit/s' });
});

test('settings are written in one way; what cannot be read stays as typed', () => {
  const port = smallPlant().get('port', 'pl1')!;
  const onLine = (field: string, text: string) => {
    const rows = Object.values(LINE_PORT).find(({ fields }) => field in fields)!;
    return editField(rows, field, port, text, { project: smallPlant(), newId: () => '' });
  };
  const value = (field: 'serial' | 'busRate', text: string) => onLine(field, text).changes[0]?.after;
  expect(value('serial', '19.2k,8,N,1')).toBe('19200 8N1');
  expect(value('serial', 'fast')).toBe('fast');
  expect(value('busRate', '1500 kbit/s')).toBe('1.5 Mbit/s');
  expect(onLine('electrical', 'RS-999').problem).toContain('“RS-999” is not a valid standard');
});

test('the runs of a ledger cover every address once, in order, and each port stands in its own', () => {
  fc.assert(
    fc.property(fc.uniqueArray(fc.integer({ min: 1, max: 62 }), { maxLength: 20 }), (numbers) => {
      const ports = numbers.map((n, i) => ({
        ...newPort(`q${i}`, i, 'sd', 'net'),
        address: `10.0.0.${n}`,
        mask: '/26',
      }));
      const bare = edited(
        smallPlant(),
        ['network', 'net', 'subnet', '10.0.0.0/26'],
        ...['porta', 'portb', 'portc', 'pe3'].map((id) => ['port', id, 'network', null] as const),
      );
      const project = added(bare, 'port', ...ports);
      const ledger = ledgerOf(project, project.get('network', 'net')!)!;
      expect([ledger.first & 63, ledger.last & 63]).toEqual([1, 62]);
      let next = ledger.first;
      for (const run of ledger.runs) {
        expect(run.from).toBe(next);
        next = run.to + 1;
        expect(run.ports.length > 0).toBe(numbers.includes(run.from & 63));
      }
      expect(next).toBe(ledger.last + 1);
      expect(ledger.used).toBe(numbers.length);
      const free = nextFreeInLedger(ledger);
      expect(free === null).toBe(numbers.length === 62);
      if (free !== null) expect(numbers).not.toContain(free & 63);
    }),
  );
});

test('every place that holds a copy: what callers were told, and gateways; old values are recognised', () => {
  const project = edited(
    smallPlant(),
    ['port', 'portb', 'former', ['10.0.0.9']],
    ['end', 'ea', 'told.eb.address', '10.0.0.9'],
    ['port', 'portc', 'gateway', '10.0.0.2'],
  );
  const copies = (p: Project) => copiesOf(p, p.get('port', 'portb')!);
  expect(copies(project).map((c) => [c.holder, c.field, c.value, c.state])).toEqual([
    ['sa', 'address', '10.0.0.9', 'its former address'],
    ['sa', 'TCP port', '502', 'the default'],
    ['sa', 'address', '10.0.0.2', 'as it is'],
    ['sc', 'gateway', '10.0.0.2', 'as it is'],
  ]);
  // Followed up, it is so everywhere.
  const next = applied(project, { id: 'f', label: '', changes: followUp(project, copies(project)[0]!) });
  expect(copies(next)[0]).toMatchObject({ value: '10.0.0.2', state: 'as it is' });
});

test('what others were told of a program stands at the port of its host, and so does what a tool was told', () => {
  const guest = edited(
    added(smallPlant(), 'station', { ...newStation('host', 900, 'Host') }),
    ['station', 'sb', 'runsOn', 'host'],
    ['port', 'portb', 'address', ''],
    ['end', 'ea', 'told.eb.address', '10.0.0.50'],
  );
  const project = added(guest, 'port', { ...newPort('ph', 900, 'host', 'net'), address: '10.0.0.50' });
  const copies = copiesOf(project, project.get('port', 'ph')!);
  expect(copies).toContainEqual(
    expect.objectContaining({ holder: 'sa', field: 'address', value: '10.0.0.50', state: 'as it is' }),
  );
});

test('a tick holds as long as the value that was seen is the true one', () => {
  const project = smallPlant();
  const copy = (p: Project) => copiesOf(p, p.get('port', 'portb')!)[0]!;
  const ticked = applied(project, {
    id: 't',
    label: '',
    changes: tickCopy(project, copy(project), 'tick1', 'R. Vale', '2026-01-02T03:04:05Z'),
  });
  expect(copy(ticked).tick).toMatchObject({ name: 'R. Vale', value: '10.0.0.2' });
  const moved = edited(ticked, ['port', 'portb', 'address', '10.0.0.8']);
  expect(copy(moved).tick).toBeNull();
  const again = applied(moved, { id: 'u', label: '', changes: tickCopy(moved, copy(moved), 'tick2', 'A', 'now') });
  expect(again.count('tick')).toBe(1);
  expect(copy(again).tick?.value).toBe('10.0.0.8');
  const off = applied(again, { id: 'v', label: '', changes: untickCopy(copy(again)) });
  expect(off.count('tick')).toBe(0);
});
