import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { Ajv2020 } from 'ajv/dist/2020.js';
import fc from 'fast-check';
import { apply } from '../change/apply.js';
import { problemSentence } from '../model/problem.js';
import { randomEdit, THEMES, smallPlant } from '../testing/random-edits.testing.js';
import { SECTION_OF, writeProject } from './canonical.js';
import { isTooDeep } from './depth.js';
import { readProject } from './read-project.js';
import { projectFileSchema } from './schema.js';

type Tree = Record<string, unknown>;
const tree = () => JSON.parse(writeProject(smallPlant())) as Record<string, Tree[]>;
const sentences = (value: unknown): string[] => {
  const read = readProject(typeof value === 'string' ? value : JSON.stringify(value));
  return read.ok ? [] : read.problems.map(problemSentence);
};

const steps = fc.array(fc.tuple(fc.nat(), fc.nat(), fc.nat()), { maxLength: 15 });
const randomProject = steps.map((edits) =>
  edits.reduce((project, [what, whose, value], i) => {
    const changes = randomEdit(project, THEMES[what % 3]!, what, whose, value, `fresh${i}`);
    const applied = changes && apply(project, { id: 'c', label: '', changes });
    return applied?.ok ? project.with(applied.entities) : project;
  }, smallPlant()),
);

test('written, read and written again: the same bytes', () => {
  fc.assert(
    fc.property(randomProject, (project) => {
      const text = writeProject(project);
      const read = readProject(text);
      if (!read.ok) throw new Error(read.problems.map(problemSentence).join('\n'));
      expect(writeProject(read.project)).toBe(text);
    }),
    { numRuns: 100 },
  );
});

test('the published schema takes what the reader takes [library: ajv]', () => {
  const validate = new Ajv2020({ strict: false, allErrors: false }).compile(projectFileSchema());
  fc.assert(
    fc.property(randomProject, (project) => {
      const valid = validate(JSON.parse(writeProject(project)));
      expect(valid ? [] : validate.errors).toEqual([]);
    }),
    { numRuns: 60 },
  );
});

test('the schema in docs/ is the one that the classes give', () => {
  const published = readFileSync(join(__dirname, '../../../../docs/project-file.schema.json'), 'utf8');
  expect(JSON.parse(published)).toEqual(JSON.parse(JSON.stringify(projectFileSchema())));
});

/** Every way in which one field can be wrong, both by the reader and by the schema. */
const SPOILT: readonly (readonly [string, (file: Record<string, Tree[]>) => void, string])[] = [
  ['an unknown field', (f) => (f.stations![0]!.colour = 'red'), 'station sa, colour: found "red"; is no field of it'],
  [
    'a wrong type',
    (f) => (f.stations![0]!.order = 'first'),
    'station sa, order: found "first"; must be a whole number',
  ],
  ['a word that is none', (f) => (f.stations![0]!.party = 'theirs'), 'station sa, party: found "theirs"'],
  ['a nested field', (f) => ((f.claims![0]!.length as Tree).count = 0), 'claim ca, length.count: found 0'],
  [
    'a value in a list',
    (f) => ((f.claims![1]!.items as Record<string, Tree>).k1!.name = 7),
    'claim ca2, items.k1.name: found 7; must be text',
  ],
  ['a bad key', (f) => (f.lanes![0]!.items = { '1': { order: 1 } }), 'lane lane, items: found "1"; keys must be ids'],
  ['a name that is too long', (f) => (f.stations![0]!.name = 'x'.repeat(501)), 'must have at most 500 characters'],
];

test.each(SPOILT)('%s is named with its path', (_, spoil, sentence) => {
  const file = tree();
  spoil(file);
  expect(sentences(file).join('\n')).toContain(sentence);
  expect(new Ajv2020({ strict: false }).compile(projectFileSchema())(file)).toBe(false);
});

test('ids that are taken and references that lead nowhere are named', () => {
  const twice = tree();
  twice.stations!.push({ ...twice.stations![0]!, name: 'Again' });
  expect(sentences(twice)).toEqual(['stations[4].id: found "sa"; is taken by a station']);
  const dangling = tree();
  dangling.ends![0]!.station = 'nobody';
  expect(sentences(dangling)).toEqual(['end ea, station: found "nobody"; must be the id of a station in this file']);
});

test('prototype keys are no fields', () => {
  const text = JSON.stringify(tree()).replace('"name":"A"', '"name":"A","__proto__":{"x":1}');
  expect(sentences(text)).toEqual(['station sa, __proto__: found {"x":1}; is no field of it']);
  expect(({} as { x?: number }).x).toBeUndefined();
});

test.each([
  ['', 'line 1, column 1: found the end of the file'],
  ['{ "format": "dialoga-project", }', 'line 1, column 32'],
  ['{\n "format": 1e }', 'line 2, column'],
  ['[]', 'file: found []; a project file is one JSON object'],
  ['{"format":"other"}', 'format: found "other"; must be "dialoga-project"'],
  ['{"format":"dialoga-project","version":2,"project":[]}', 'version: found 2; this Dialoga reads versions up to 1'],
  ['{"format":"dialoga-project","version":1}', 'project: found nothing; must be a list of one entry'],
  [
    '{"format":"dialoga-project","version":1,"project":[{"id":"project","name":"x"}],"extra":1}',
    'found "extra"; is no section',
  ],
])('%s', (text, sentence) => {
  expect(sentences(text).join('\n')).toContain(sentence);
});

test('emoji, right-to-left text, a 300-character name and =1+1 are text', () => {
  const file = tree();
  const names = ['❄️ Kühlhaus', 'تخزين بارد', 'x'.repeat(300), '=1+1'];
  names.slice(0, 3).forEach((name, i) => (file.stations![i]!.name = name));
  file.networks![0]!.name = names[3];
  const read = readProject(JSON.stringify(file));
  expect(read.ok && file.stations!.slice(0, 3).map((s) => read.project.get('station', s.id as string)?.name)).toEqual(
    names.slice(0, 3),
  );
  expect(read.ok && read.project.get('network', file.networks![0]!.id as string)?.name).toBe('=1+1');
});

test('any JSON gives a project or problems, never an exception', () => {
  fc.assert(
    fc.property(fc.jsonValue(), fc.constantFrom(...Object.values(SECTION_OF)), (value, section) => {
      const empty = Array.isArray(value) && value.length === 0 && section !== 'project';
      if (!empty) expect(sentences({ ...tree(), [section]: value }).length).toBeGreaterThan(0);
      expect(readProject(JSON.stringify(value)).ok).toBe(false);
    }),
    { numRuns: 200 },
  );
});

test('any depth is refused with its place, and breaks nothing', () => {
  const deep = `${'['.repeat(200_000)}${']'.repeat(200_000)}`;
  const head = '"format":"dialoga-project","version":1';
  const files = [
    `{${head},"project":[{"id":"project","name":${deep}}]}`,
    `{${head},"project":[{"id":"project","name":"x"}],"stations":[{},${deep}]}`,
    deep,
  ];
  const places = files.map((file) => {
    const read = readProject(file);
    return read.ok ? 'taken' : `${read.problems[0]!.where}: ${read.problems[0]!.expected}`;
  });
  expect(places).toEqual([
    'project[0]: nothing in a project file nests deeper than 40 levels',
    'stations[1]: nothing in a project file nests deeper than 40 levels',
    'file: nothing in a project file nests deeper than 40 levels',
  ]);
});

test('40 levels are taken to be inspected, 41 are not', () => {
  const nested = (levels: number): unknown => JSON.parse(`${'['.repeat(levels)}${']'.repeat(levels)}`);
  expect([isTooDeep(nested(40)), isTooDeep(nested(41)), isTooDeep('text'), isTooDeep(null)]).toEqual([
    false,
    true,
    false,
    false,
  ]);
});
