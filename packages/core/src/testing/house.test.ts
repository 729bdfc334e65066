import { readdirSync, readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';

const SRC = join(__dirname, '..');
const ROOT = join(SRC, '../../..');
/** What stands beside the storeys: the face of the edges, and what tests share. */
const BESIDE = ['entry', 'testing'];
/** Where a face may be used. */
const OUTSIDE = ['apps', 'demo', 'bench', 'torture', 'e2e', 'packages/standins'];

const storeys = (): string[][] => {
  // A plain list, read as text: Jest does not take a module of Node for itself.
  const text = readFileSync(join(SRC, '../storeys.mjs'), 'utf8');
  return [...text.matchAll(/^ {2}\[(.*)\],$/gm)].map(([, row]) =>
    [...row!.matchAll(/'(\w+)'/g)].map(([, name]) => name!),
  );
};

function filesIn(folder: string): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    if (entry.name === 'node_modules' || entry.name === 'dist') return [];
    const path = join(folder, entry.name);
    return entry.isDirectory() ? filesIn(path) : /\.(ts|tsx|mjs)$/.test(entry.name) ? [path] : [];
  });
}

/** The names between braces, each as it is called where it comes from. */
const namesIn = (braces: string): string[] =>
  braces
    .replace(/\/\*.*?\*\/|\/\/.*$/gms, '')
    .split(',')
    .map((part) =>
      part
        .replace(/\btype\b/, '')
        .split(' as ')[0]!
        .trim(),
    )
    .filter((name) => name !== '');

test('every folder of the core stands in a storey', () => {
  const rows = storeys();
  process.stdout.write(
    `${[...rows.entries()]
      .reverse()
      .map(([i, row]) => `${i}  ${row.join('  ')}`)
      .join('\n')}\n`,
  );
  const folders = readdirSync(SRC).filter((name) => statSync(join(SRC, name)).isDirectory());
  expect(folders.sort()).toEqual([...rows.flat(), ...BESIDE].sort());
});

test('what a face exports is used outside, and says what the face is for', () => {
  const used = new Map<string, Set<string>>();
  for (const file of OUTSIDE.flatMap((room) => (readdirSync(ROOT).includes(room.split('/')[0]!) ? [room] : []))) {
    const folder = join(ROOT, file);
    const texts = statSync(folder, { throwIfNoEntry: false })
      ? filesIn(folder).map((path) => readFileSync(path, 'utf8'))
      : [];
    for (const text of texts) {
      for (const [, braces, face] of text.matchAll(/\{([^{}]*)\}\s*from\s*'@dialoga\/core\/(\w+)'/g)) {
        const names = used.get(face!) ?? new Set();
        for (const name of namesIn(braces!)) names.add(name);
        used.set(face!, names);
      }
    }
  }
  const unused: string[] = [];
  for (const folder of readdirSync(SRC)) {
    const path = join(SRC, folder, 'index.ts');
    if (!statSync(path, { throwIfNoEntry: false })) continue;
    const text = readFileSync(path, 'utf8');
    expect([folder, text.startsWith('/**'), /export \*/.test(text)]).toEqual([folder, true, false]);
    for (const [, braces] of text.matchAll(/export(?: type)? \{([^}]*)\}/g)) {
      unused.push(
        ...namesIn(braces!)
          .filter((name) => !used.get(folder)?.has(name))
          .map((name) => `${folder}: ${name}`),
      );
    }
  }
  expect(unused).toEqual([]);
});
