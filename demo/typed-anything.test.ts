import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { apply, invert, tooLong } from '@dialoga/core/change';
import { CheckEngine } from '@dialoga/core/check';
import {
  addZone,
  editArea,
  editAttachment,
  editBlockMember,
  editCopy,
  editEnd,
  editExchange,
  editExpectation,
  editGroup,
  editHelper,
  editImportSource,
  editLanding,
  editLine,
  editMember,
  editModule,
  editNetwork,
  editPort,
  editRack,
  editReservation,
  editRoute,
  editSetting,
  editStation,
  editStep,
  editStructure,
  editTag,
  editTold,
  editView,
  editZone,
  hasLineFields,
  LINE_FIELDS,
} from '@dialoga/core/fields';
import { writeProject } from '@dialoga/core/file';
import { childrenOf, inOrder, type Kind, type Project } from '@dialoga/core/model';
import {
  addFigure,
  editProfile,
  FIGURE_FORMS,
  profileBlocks,
  profileFigures,
  reservedBlocks,
} from '@dialoga/core/profiles';
import { fieldsToSet } from '@dialoga/core/setting';
import { editSheet } from '@dialoga/core/sheet';
import type { FieldEdit } from '@dialoga/core/text';
import { readProject } from '@dialoga/core/entry';
import fc from 'fast-check';

/** What is typed somewhere on the screens: which text goes where is chosen by chance. */
type Editor = (project: Project, pick: Pick, text: string, newId: () => string) => FieldEdit | null;
/** One of these; null where there are none. */
type Pick = <T>(of: readonly T[]) => T | null;

const SAID = { by: 'A tester', at: '2026-05-31T12:00:00.000Z' };

/** An editor of the entities of one kind, by column. */
const of =
  <E, C extends string>(
    all: (project: Project) => readonly E[],
    columns: readonly C[],
    run: (project: Project, entity: E, column: C, text: string, newId: () => string) => FieldEdit,
  ): Editor =>
  (project, pick, text, newId) => {
    const [entity, column] = [pick(all(project)), pick(columns)];
    return entity === null || column === null ? null : run(project, entity, column, text, newId);
  };
const kind =
  <K extends Kind>(name: K) =>
  (project: Project) =>
    inOrder(project, name);

const EDITORS: Record<string, Editor> = {
  station: of(
    kind('station'),
    [
      ...(['name', 'roles', 'typeText', 'orderCode', 'revision', 'profile', 'actsAs', 'takenFrom', 'newest'] as const),
      ...(['party', 'supplier', 'scan', 'runsOn', 'guard', 'fromOutside', 'firmware', 'comment'] as const),
    ],
    editStation,
  ),
  network: of(
    kind('network'),
    [
      ...(['name', 'kind', 'subnet', 'wiring', 'linkRate', 'busRate', 'busProfile', 'highestAddress'] as const),
      ...(['comment', 'radio.id', 'radio.band', 'radio.rate', 'radio.mode', 'radio.repeaters'] as const),
    ],
    (_, network, column, text) => editNetwork(network, column, text),
  ),
  port: of(
    kind('port'),
    [
      ...(['name', 'network', 'address', 'mask', 'gateway', 'purpose', 'tcpPort', 'unit', 'how', 'enabled'] as const),
      ...(['deviceName', 'hardware', 'former', 'further', 'off', 'takes', 'tunnel', 'bridgedTo'] as const),
      'recognised',
    ],
    editPort,
  ),
  attachment: (project, pick, text, newId) => {
    const [station, network] = [pick(inOrder(project, 'station')), pick(inOrder(project, 'network'))];
    const port = station && network && childrenOf(project, 'port', station.id).find((p) => p.network === network.id);
    return station && network && editAttachment(project, station.id, network, port ?? null, text, newId);
  },
  line: (project, pick, text) => {
    const network = pick(inOrder(project, 'network').filter(hasLineFields));
    const port = network && pick(childrenOf(project, 'port', network.id));
    const field = network && pick(LINE_FIELDS[network.kind]);
    return port && field && editLine(port, field, text);
  },
  area: of(kind('area'), ['name', 'kind', 'wordBits', 'words', 'writers', 'lastWord'], (_, area, column, text) =>
    editArea(area, column, text),
  ),
  view: (project, pick, text) => {
    const area = pick(inOrder(project, 'area'));
    const view = area && pick(Object.keys(area.views));
    const column = pick([
      ...(['name', 'notation', 'prefix', 'unit', 'first', 'written', 'byteOrder', 'bitNumbering', 'access'] as const),
    ]);
    return area && view && column && editView(area, view, column, text);
  },
  reservation: (project, pick, text, newId) => {
    const area = pick(inOrder(project, 'area'));
    const id = area && (pick(Object.keys(area.reservations)) ?? newId());
    const column = pick(['from', 'length', 'owner', 'reason', 'puts', 'mayStart'] as const);
    return area && id && column && editReservation(project, area, id, column, text);
  },
  'part of a block': (project, pick, text, newId) => {
    const blocks = [
      ...inOrder(project, 'station').flatMap((station) => reservedBlocks(project, station.id)),
      ...inOrder(project, 'profile').flatMap(profileBlocks),
    ];
    const block = pick(blocks);
    const key = block && (pick(Object.keys(block.members ?? {})) ?? newId());
    const column = pick([
      ...(['name', 'offset', 'bits', 'use', 'role', 'signal', 'access', 'atStart', 'meaning'] as const),
    ]);
    return block && key && column && editBlockMember(block, key, column, text);
  },
  copy: (project, pick, text, newId) => {
    const station = pick(inOrder(project, 'station'));
    const column = pick(['name', 'from', 'to', 'length', 'reader', 'comment'] as const);
    const id = pick([...childrenOf(project, 'copy', station?.id ?? '').map((c) => c.id), newId()]);
    return station && column && id && editCopy(project, station.id, id, column, text);
  },
  rack: of(
    kind('rack'),
    ['name', 'size', 'first', 'found', 'gaps', 'addressesFollow', 'takes'],
    (_, rack, column, text) => editRack(rack, column, text),
  ),
  zone: (project, pick, text, newId) => {
    const rack = pick(inOrder(project, 'rack'));
    const key = rack && pick(Object.keys(rack.zones));
    const column = pick(['name', 'slot', 'size', 'kinds', 'first', 'gaps'] as const);
    if (!rack || !column) return null;
    return key ? editZone(rack, key, column, text) : addZone(rack, newId(), text);
  },
  module: of(
    kind('module'),
    ['slot', 'name', 'kind', 'orderCode', 'found', 'inputs', 'outputs', 'dial', 'description', 'comment'],
    editModule,
  ),
  landing: of(
    kind('landing'),
    ['role', 'slot', 'orderCode', 'accepted', 'inputs', 'outputs', 'inputsAt', 'outputsAt', 'description'],
    editLanding,
  ),
  setting: (project, pick, text, newId) => {
    const station = pick(inOrder(project, 'station'));
    const row = station && pick(fieldsToSet(project, station));
    const column = pick(['found', 'how', 'firmware', 'state', 'was'] as const);
    return row && column && editSetting(project, station.id, row, column, text, newId(), SAID);
  },
  group: (project, pick, text, newId) => {
    const station = pick(inOrder(project, 'station'));
    const key = station && (pick(Object.keys(station.groups ?? {})) ?? newId());
    const column = pick(['name', 'station'] as const);
    return station && key && column && editGroup(project, station, key, column, text);
  },
  'what a profile says': (project, pick, text) => {
    const profile = pick(inOrder(project, 'profile'));
    const figure = profile && pick(profileFigures(profile).filter(({ id }) => id !== ''));
    const column = pick(['value', 'source'] as const);
    return profile && figure && column && editProfile(profile, figure.id, column, text);
  },
  'a figure more': of(kind('profile'), ['add'], (_, profile, __, text, newId) => addFigure(profile, text, newId())),
  exchange: of(
    kind('exchange'),
    [
      ...(['name', 'kind', 'protocol', 'transfer', 'cadence', 'timeout', 'responseDelay', 'keepAlive'] as const),
      ...(['inactivity', 'watchedBy', 'binding', 'sinks', 'source', 'back', 'notRepeated', 'factName'] as const),
      ...(['carries', 'places', 'tcpPort', 'unitTold', 'media', 'limit'] as const),
    ],
    (_, exchange, column, text) => editExchange(exchange, column, text),
  ),
  'step of a start': (project, pick, text, newId) => {
    const exchange = pick(inOrder(project, 'exchange'));
    const id = exchange && (pick(Object.keys(exchange.start ?? {})) ?? newId());
    const column = pick(['end', 'does'] as const);
    return exchange && id && column && editStep(project, exchange, id, column, text);
  },
  end: of(kind('end'), ['connection', 'input', 'output', 'elementBits', 'permitted'] as const, (_, end, column, text) =>
    editEnd(end, column as Parameters<typeof editEnd>[1], text),
  ),
  told: (project, pick, text) => {
    const end = pick(inOrder(project, 'end'));
    const other = end && pick(childrenOf(project, 'end', end.exchange).filter((e) => e.id !== end.id));
    const field = pick(['address', 'tcpPort', 'unit'] as const);
    return end && other && field && editTold(end, other.id, field, text);
  },
  sheet: (project, pick, text, newId) => {
    const end = pick(inOrder(project, 'end'));
    const lane = end && pick(childrenOf(project, 'lane', end.exchange));
    const column = pick([
      ...(['name', 'direction', 'area', 'address', 'length', 'type', 'told'] as const),
      ...(['header', 'swap', 'slot', 'open', 'trigger'] as const),
    ]);
    const key = lane && pick([undefined, undefined, null, ...Object.keys(lane.items)]);
    if (!end || !lane || !column) return null;
    const at = key === undefined || key === null ? {} : { key };
    const { changes, problems } = editSheet(project, [{ end, lane: lane.id, column, text, ...at }], newId);
    return { changes, problem: problems[0] ?? null };
  },
  tag: (project, pick, text) => {
    const tag = pick(inOrder(project, 'tag'));
    const column = pick([
      ...(['name', 'type', 'place', 'comment', 'unit', 'access', 'open', 'polarity', 'scaling', 'alias'] as const),
      ...(['signal', 'element', 'internal', 'required', 'asks', 'notUsed'] as const),
    ]);
    return tag && column && editTag(project, tag.station, tag.id, column as 'name', text);
  },
  import: of(kind('import'), ['source'], (_, entry, __, text) => editImportSource(entry, text)),
  structure: (project, pick, text, newId) =>
    editStructure(project, pick(inOrder(project, 'structure'))?.id ?? newId(), text),
  member: (project, pick, text, newId) => {
    const structure = pick(inOrder(project, 'structure'));
    const key = structure && pick([...Object.keys(structure.members), newId()]);
    const column = pick(['name', 'type'] as const);
    return structure && key && column && editMember(project, structure, key, column, text);
  },
  route: of(kind('route'), ['from', 'to', 'port', 'traffic', 'slot', 'stated', 'comment'], editRoute),
  expectation: of(kind('expectation'), ['from', 'to', 'traffic', 'must', 'reason'], editExpectation),
  helper: of(kind('helper'), ['drawnAs', 'address', 'presence', 'brings', 'comment'], (_, helper, column, text) =>
    editHelper(helper, column, text),
  ),
};

const start = (() => {
  const read = readProject(readFileSync(join(import.meta.dirname, 'kestrel-quay.dialoga.json'), 'utf8'));
  if (!read.ok) throw new Error('the demo cannot be read');
  return read.project;
})();
const startText = writeProject(start);

/** Texts that stand somewhere in the demo: names, words, addresses, types; one field's value typed into another. */
const standing = (() => {
  const found = new Set<string>();
  JSON.parse(startText, (_, value: unknown) => {
    if (typeof value === 'string' && value.length <= 60) found.add(value);
    return value;
  });
  return [...found];
})();

const text = fc.oneof(
  { weight: 4, arbitrary: fc.constantFrom(...standing) },
  { weight: 2, arbitrary: fc.constantFrom(...FIGURE_FORMS) },
  {
    weight: 3,
    arbitrary: fc.constantFrom(
      ...['', ' ', '0', '1', '-1', '7', '65535', '65536', '4294967296', '99999999999999999999', '1.5', '1,5', '1e400'],
      ...['=1+1', 'yes', 'no', 'free', '.13', '.256', '10.48.10.99/24', '10.48.10.99/33', '255.255.0.255', '%IB5.9'],
      ...['40001', '400001', '%MW100.17', 'w100 every 0 words', '0 words', '8 bits', '1000000000 words', 'STRING[300]'],
      ...['ARRAY [0..0] OF BOOL', 'ARRAY [5..1] OF INT', 'INT x0', 'REAL x99999999', '__proto__', 'constructor'],
      ...['5 constructor', 'toString', '1 valueOf', '9600 8C1', 'A=B', '2026-02-31', '{address}:{port}', '5 ms', '2 h'],
      ...['naïve ☃ 🧊', 'مرحبا', 'x'.repeat(300), 'a\tb\nc', '"quoted" \\ text', 'A → B', 'a, b, c, d', '‮reversed'],
    ),
  },
  { weight: 1, arbitrary: fc.string({ unit: 'grapheme', maxLength: 30 }) },
);

interface Typed {
  editor: string;
  text: string;
  choice: number;
}

/** Types one text after the other; gives every step that changed something. */
function typeAll(typed: readonly Typed[]) {
  let project = start;
  let n = 0;
  const sets = typed.flatMap(({ editor, text: words, choice }, i) => {
    let seed = choice;
    const pick: Pick = (all) => {
      seed = (Math.imul(seed, 1103515245) + 12345) >>> 0;
      return all.length === 0 ? null : all[(seed >>> 8) % all.length]!;
    };
    const edit = EDITORS[editor]!(project, pick, words, () => `typed${n++}`);
    if (!edit) return [];
    const where = `${editor}: “${words}”: ${JSON.stringify(edit.changes).slice(0, 300)}`;
    if (edit.problem !== null) {
      // A refusal says what was found and what would be right; what could not be read is kept, or nothing is changed.
      expect(edit.problem.length).toBeGreaterThan(15);
      const kept = JSON.stringify(edit.changes).includes(JSON.stringify(words.trim()));
      if (edit.changes.length > 0 && !kept) throw new Error(`changed, though it was refused: ${where}`);
    }
    // A text that is too long for its field is refused before it is applied.
    if (edit.changes.some((change) => tooLong(change) !== null)) return [];
    const set = { id: `s${i}`, label: editor, changes: edit.changes };
    const applied = apply(project, set);
    if (!applied.ok) throw new Error(`${applied.refusal.sentence} ${where}`);
    project = project.with(applied.entities);
    return [{ set, where }];
  });
  return { project, sets };
}

const some = fc.array(fc.record({ editor: fc.constantFrom(...Object.keys(EDITORS)), text, choice: fc.nat(2 ** 31) }), {
  minLength: 40,
  maxLength: 60,
});

/** Which step made the file unreadable: they are few, so each is tried. */
function firstUnreadable(typed: readonly Typed[]): string {
  for (let n = 1; n <= typed.length; n++) {
    const { project, sets } = typeAll(typed.slice(0, n));
    const read = readProject(writeProject(project));
    if (!read.ok) return `${sets.at(-1)?.where}: ${JSON.stringify(read.problems)}`;
  }
  return '';
}

test('whatever is typed wherever, the project stays one that can be stored, checked and brought back', () => {
  fc.assert(
    fc.property(some, (typed) => {
      const { project, sets } = typeAll(typed);
      const file = writeProject(project);
      const read = readProject(file);
      if (!read.ok) throw new Error(firstUnreadable(typed));
      expect(writeProject(read.project)).toBe(file);
      expect(() => new CheckEngine(project)).not.toThrow();
      let back = project;
      for (const { set, where } of sets.reverse()) {
        const undone = apply(back, invert(set, 'undo'));
        if (!undone.ok) throw new Error(`cannot be undone: ${undone.refusal.sentence} ${where}`);
        back = back.with(undone.entities);
      }
      expect(writeProject(back)).toBe(startText);
    }),
    { numRuns: 25, endOnFailure: true },
  );
});
