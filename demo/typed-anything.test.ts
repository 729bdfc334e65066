import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { apply, invert, tooLong } from '@dialoga/core/change';
import { CheckEngine } from '@dialoga/core/check';
import { ALL_ROWS, addMember, addZone, editAttachment, editField, editTold, type Rows } from '@dialoga/core/fields';
import { writeProject } from '@dialoga/core/file';
import { childrenOf, inOrder, type Project } from '@dialoga/core/model';
import { addFigure, editProfile, FIGURE_FORMS, profileFigures } from '@dialoga/core/profiles';
import { editSheet } from '@dialoga/core/sheet';
import type { FieldEdit } from '@dialoga/core/text';
import { readProject } from '@dialoga/core/entry';
import fc from 'fast-check';

/** What is typed somewhere on the screens: which text goes where is chosen by chance. */
type Editor = (project: Project, pick: Pick, text: string, newId: () => string) => FieldEdit | null;
/** One of these; null where there are none. */
type Pick = <T>(of: readonly T[]) => T | null;

const SAID = { by: 'A tester', at: '2026-05-31T12:00:00.000Z' };

/** Whatever stands in a table or a form: any field of any row of one sort. */
const ofRows =
  (rows: Rows<unknown>): Editor =>
  (project, pick, text, newId) => {
    const row = pick(rows.all(project));
    const field = pick(Object.keys(rows.fields));
    return row === null || field === null ? null : editField(rows, field, row, text, { project, newId, ...SAID });
  };

const EDITORS: Record<string, Editor> = {
  ...Object.fromEntries(
    Object.entries(ALL_ROWS as unknown as Record<string, Rows<unknown>>).map(([name, rows]) => [name, ofRows(rows)]),
  ),
  attachment: (project, pick, text, newId) => {
    const [station, network] = [pick(inOrder(project, 'station')), pick(inOrder(project, 'network'))];
    const port = station && network && childrenOf(project, 'port', station.id).find((p) => p.network === network.id);
    return station && network && editAttachment(project, station.id, network, port ?? null, text, newId);
  },
  'a zone more': (project, pick, text, newId) => {
    const rack = pick(inOrder(project, 'rack'));
    return rack && addZone(rack, newId(), text);
  },
  'a member more': (project, pick, text, newId) => {
    const structure = pick(inOrder(project, 'structure'));
    return structure && addMember(project, structure, newId(), text);
  },
  'what a profile says': (project, pick, text) => {
    const profile = pick(inOrder(project, 'profile'));
    const figure = profile && pick(profileFigures(profile).filter(({ id }) => id !== ''));
    const column = pick(['value', 'source'] as const);
    return profile && figure && column && editProfile(profile, figure.id, column, text);
  },
  'a figure more': (project, pick, text, newId) => {
    const profile = pick(inOrder(project, 'profile'));
    return profile && addFigure(profile, text, newId());
  },
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
    { numRuns: 15, endOnFailure: true },
  );
});
