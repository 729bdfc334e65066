import { pastedPlant, newId } from '../testing/pasted-plant.testing.js';
import { applied } from '../testing/two-stations.testing.js';
import { inOrder } from '../model/order.js';
import { pasteTags } from './paste-tags.js';

const { project } = pastedPlant('Ctl\tbyte memory\t10.8.9.1/24');
const [station] = inOrder(project, 'station');
const SHOWN = ['name', 'group', 'type', 'place', 'asks', 'access', 'comment'] as const;
const pasted = (...lines: string[]) => {
  const { changes, problem } = pasteTags(project, station!.id, lines.join('\n'), { tags: [], columns: SHOWN }, newId);
  const tags = inOrder(applied(project, { id: 'p', label: '', changes }), 'tag');
  return {
    tags: tags.map(({ name, type, place, access, comment }) => ({ name, type, place, access, comment })),
    problem,
  };
};

test('columns are known by what stands in them; what is known by nothing is a comment', () => {
  const { tags, problem } = pasted(
    'Door\tat the gate\tBOOL\tread\t%MX4.0',
    'Level\tin the tank\tINT\tread and set\t%MW6',
  );
  expect(problem).toBeNull();
  expect(tags).toMatchObject([
    { name: 'Door', type: { base: 'BOOL' }, place: { number: 4, bit: 0 }, access: 'read', comment: 'at the gate' },
    { name: 'Level', type: { base: 'INT' }, place: { number: 6 }, access: 'read and set', comment: 'in the tank' },
  ]);
});

test('a line of headings says it; a column that is none of a tag is left out and named', () => {
  const { tags, problem } = pasted('Adresse\tName\tBlatt\tDatentyp', '%MW6\tLevel\t12\tINT');
  expect(tags).toMatchObject([{ name: 'Level', type: { base: 'INT' }, place: { number: 6 } }]);
  expect(problem).toBe('column “Blatt” was left out: it is none of a tag');
});

test('a block as it is copied from the table lands as it stands', () => {
  expect(pasted('Door\tPLANT\tBOOL\t%MX4.0').tags).toMatchObject([
    { name: 'Door', type: { base: 'BOOL' }, place: { number: 4 } },
  ]);
});
