import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { readProject } from '../file/read-project.js';
import { Plant } from './plant.js';
import { pairsOf } from './values.js';

const read = readProject(readFileSync(join(__dirname, '../../../../demo/kestrel-quay-as-agreed.dialoga.json'), 'utf8'));
if (!read.ok) throw new Error('the demo cannot be read');
const { project } = read;
/** µs: longer than any way of these two */
const LONG = 400_000;

function running() {
  const plant = new Plant(project);
  const at = (id: string) => plant.links.find((link) => link.id === `${id} 0`)!;
  const [comes, goes] = [at('permissives'), at('status')];
  const found = pairsOf(comes.path.source, comes.path.sink);
  if (typeof found === 'string') throw new Error(found);
  const [{ sink }] = found.pairs as [(typeof found.pairs)[number]];
  const seen = (link: typeof goes) => {
    const pairs = pairsOf(link.path.source, link.path.sink);
    if (typeof pairs === 'string') throw new Error(pairs);
    return plant.valueOf(link.path.sink.block.memory.area.id, pairs.pairs[0]!.sink);
  };
  return { plant, comes, goes, name: sink.name, seen };
}

test('what comes to a station goes back from it, and is said among what stands in for programs', () => {
  const { plant, comes, goes, name, seen } = running();
  expect(plant.set(goes, '', `ECHO  ${name.toUpperCase()}`)).toBeNull();
  expect(plant.set(comes, '', '16#0011')).toBeNull();
  plant.advance(LONG);
  expect([seen(comes), seen(goes)]).toEqual([0x11n, 0x11n]);
  plant.set(comes, '', '16#0012');
  plant.advance(LONG);
  expect(seen(goes)).toBe(0x12n);
  expect(plant.driven.map(({ stimulus }) => stimulus.kind)).toEqual(['echo', 'constant']);

  plant.letGo(goes, '');
  plant.set(comes, '', '16#0013');
  plant.advance(LONG);
  expect([seen(comes), seen(goes)]).toEqual([0x13n, 0x12n]);
});

test('an echo goes on after an edit', () => {
  const { plant, comes, goes, name } = running();
  plant.set(goes, '', `echo ${name}`);
  const next = new Plant(project, plant.now);
  expect(next.goOnFrom(plant)).toEqual([]);
  next.set(
    next.links.find(({ id }) => id === comes.id)!,
    '',
    '16#0021',
  );
  next.advance(LONG);
  const after = next.links.find(({ id }) => id === goes.id)!;
  const pairs = pairsOf(after.path.source, after.path.sink);
  if (typeof pairs === 'string') throw new Error(pairs);
  expect(next.valueOf(after.path.sink.block.memory.area.id, pairs.pairs[0]!.sink)).toBe(0x21n);
});

test('a name that does not come there is told with those that do', () => {
  const { plant, goes, name } = running();
  const refused = plant.set(goes, '', 'echo Nothing');
  expect(refused).toContain('Nothing called “Nothing” comes to SkidCtl; there comes ');
  expect(refused).toContain(name);
  expect(plant.driven).toEqual([]);
});
