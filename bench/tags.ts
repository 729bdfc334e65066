import Papa from 'papaparse';
import { apply } from '@dialoga/core/change';
import { writeProject } from '@dialoga/core/file';
import { readTable, TAG_LIST, type TagList } from '@dialoga/core/formats';
import { Project, type Area, type Profile, type Station } from '@dialoga/core/model';
import { BECOMES, importChanges, matchNames, planImport } from '@dialoga/core/tags';
import { pollPlan } from '@dialoga/core/time';
import { opened } from './opened.js';
import { middle, timed, type Row } from './row.js';

const ROWS = 100_000;

/** One controller with a memory of words, and nothing else. */
function controller(): Project {
  const profile: Profile = {
    id: 'profile',
    order: 1,
    name: 'Words',
    layout: {},
    limits: {},
    words: {},
    nameRule: { caseMatters: false, source: 'the bench' },
    views: {
      w: { order: 1, name: 'words', notation: 'iec elements', areaKind: 'memory', prefix: 'M', unit: 16, first: 0 },
    },
  };
  const station: Station = { id: 's', order: 1, name: 'S', roles: ['controller'], profile: 'profile', party: 'own' };
  const area: Area = {
    id: 'area',
    order: 1,
    name: 'Memory',
    station: 's',
    kind: 'memory',
    wordBits: 16,
    words: 1_000_000,
    writers: ['program'],
    views: {},
    reservations: {},
  };
  return Project.of({
    project: [{ id: 'project', name: 'Bench' }],
    profile: [profile],
    station: [station],
    area: [area],
  });
}

const TYPES = ['INT', 'REAL', 'BOOL', 'DINT', 'STRING[20]', 'ARRAY[0..3] OF WORD'];
const csv = (changed: boolean): string =>
  [
    'Name;Type;Address;Access;Unit;Comment',
    ...Array.from({ length: ROWS }, (_, i) => {
      const comment = changed && i % 100 === 0 ? 'changed' : `point number ${i} of the list`;
      return `Area_${i % 97}_Point_${i};${TYPES[i % TYPES.length]};%MW${i * 8};${i % 3 ? 'read' : 'rw'};bar;${comment}`;
    }),
  ].join('\r\n');

function listOf(text: string): TagList {
  const table = readTable(text);
  if (!table.ok) throw new Error(table.found);
  const found = TAG_LIST.understand(table.value, true)!;
  const list = TAG_LIST.read(table.value, found.heading, found.columns, 'point');
  if (!list.ok) throw new Error(list.found);
  return list.value;
}

/**
 * The bare parser and the work on the same text, turn and turn about, after one turn to warm up: a slow moment of the
 * machine meets both, so the ratio is that of neighbours, and its middle over all turns.
 */
function besideParser(text: string, work: () => void): { parser: number; work: number; ratio: number } {
  const turns = Array.from({ length: 14 }, () => ({
    parser: timed(() => void Papa.parse(text, { delimiter: ';' })),
    work: timed(work),
  })).slice(1);
  return {
    parser: middle(turns.map(({ parser }) => parser)),
    work: middle(turns.map(({ work }) => work)),
    ratio: middle(turns.map(({ parser, work }) => work / parser)),
  };
}

/** The station once the list is brought in, as it is when its project is opened the next time. */
function withTags(text: string, newId: () => string): Project {
  const source = { file: 'a.csv', format: 'CSV', at: '2026-01-01T00:00:00Z', saved: null, understood: '' } as const;
  const empty = controller();
  const list = listOf(text);
  const plan = planImport(empty, 's', list, newId);
  const changes = importChanges(empty, 's', list, plan, source, { without: new Set(), drop: false }, newId);
  const result = apply(empty, { id: 'import', label: 'brings the list in', changes });
  if (!result.ok) throw new Error(result.refusal.sentence);
  return opened(writeProject(empty.with(result.entities)));
}

/** Lists of tags: read, compared, laid face to face, and asked for in as few requests as can be. */
export function tagRows(): Row[] {
  const rows: Row[] = [];
  let next = 0;
  const newId = () => `x${++next}`;
  const first = controller();
  const text = csv(false);
  let plan = planImport(first, 's', listOf(text), newId);
  const fresh = besideParser(text, () => void (plan = planImport(first, 's', listOf(text), newId)));
  rows.push({
    work: `a CSV of ${ROWS} tags read, typed, compared with none and previewed; the bare parser ${fresh.parser.toFixed(0)} ms`,
    figure: `${fresh.work.toFixed(0)} ms, ${fresh.ratio.toFixed(2)} × the parser`,
    aim: 'at most 3 ×',
    met: fresh.ratio <= 3,
  });
  const known = withTags(text, newId);
  const newer = csv(true);
  const again = besideParser(newer, () => void (plan = planImport(known, 's', listOf(newer), newId)));
  rows.push({
    work: `the next file of as many, compared with the ${ROWS} that are there; ${plan.becomes.filter((what) => BECOMES[what] === 'changed').length} changed`,
    figure: `${again.work.toFixed(0)} ms, ${again.ratio.toFixed(2)} × the parser`,
    aim: 'at most 3 ×',
    met: again.ratio <= 3,
  });

  const left = Array.from({ length: 10_000 }, (_, i) => ({ id: `l${i}`, name: `Hall_${i % 89}_Drive_${i}_Ready` }));
  const right = left.map(({ name }, i) => ({
    id: `r${i}`,
    name:
      i % 7 === 0
        ? name.toLowerCase()
        : i % 11 === 0
          ? name.replace('Drive', 'Driev')
          : i % 13 === 0
            ? `${name}X`
            : name,
  }));
  let pairs = 0;
  const match = middle(Array.from({ length: 5 }, () => timed(() => (pairs = matchNames(left, right).pairs.length))));
  rows.push({
    work: `10,000 names face to face with 10,000, near ones included; ${pairs} pairs`,
    figure: `${match.toFixed(0)} ms`,
    aim: 'under 2000 ms',
    met: match < 2000,
  });

  const items = Array.from({ length: 10_000 }, (_, i) => ({
    id: `i${i}`,
    start: (i * 7919) % 65_000,
    length: 1 + (i % 4),
  }));
  const cost = { perRequest: 53, perUnit: 2.3 };
  let requests = 0;
  for (let i = 0; i < 3; i++) pollPlan(items, 125, cost);
  const poll = middle(Array.from({ length: 15 }, () => timed(() => (requests = pollPlan(items, 125, cost).length))));
  rows.push({
    work: `poll plan of 10,000 tags: ${requests} requests`,
    figure: `${poll.toFixed(1)} ms`,
    aim: 'under 10 ms',
    met: poll < 10,
  });
  return rows;
}
