import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import keys from './key-list.json';

test('docs/keys.md is what F1 shows', () => {
  const page = readFileSync(join(__dirname, '../../../../docs/keys.md'), 'utf8').replace(/ +/g, ' ');
  const rows = page.split('\n').filter((line) => /^\| (?!key |---)/.test(line));
  expect(rows).toEqual(Object.values(keys).flatMap((list) => list.map(([key, does]) => `| ${key} | ${does} |`)));
});
