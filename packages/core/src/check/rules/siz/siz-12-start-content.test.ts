import { inOrder } from '../../../model/order.js';
import { pastedPlant } from '../../../testing/pasted-plant.testing.js';
import { edited, findingsOf, theFinding, wordsOf } from '../../../testing/two-stations.testing.js';

const { project } = pastedPlant('TankCtl\tcommunication module\t10.8.4.11/24');
const [area] = inOrder(project, 'area');
const [block] = Object.keys(area!.reservations);
const written = (part: string, content: string) =>
  edited(project, ['area', area!.id, `reservations.${block}.members.${part}.content`, content]);
const said = (part: string, content: string) =>
  findingsOf(written(part, content)).filter(({ code }) => code === 'SIZ 12');

test('an address fits four bytes, a name with its count its part', () => {
  expect(said('partner', '10.8.4.10')).toEqual([]);
  expect(said('name', '‘TankCtl’')).toEqual([]);
  expect(said('name', `‘${'x'.repeat(19)}’`)).toEqual([]);
});

test('contents that are longer than their part, and those that cannot be read, are told with both', () => {
  const long = theFinding(written('name', `‘${'x'.repeat(20)}’`), 'SIZ 12');
  expect(wordsOf(long)).toMatch(/Own name take 21 bytes, and it has 20 bytes/);
  const odd = theFinding(written('partner', 'the other one'), 'SIZ 12');
  expect(odd.severity).toBe('doubt');
  expect(wordsOf(odd)).toContain('“the other one” is no contents of a part');
});
