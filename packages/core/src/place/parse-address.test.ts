import { pastedPlant } from '../testing/pasted-plant.testing.js';
import { inOrder } from '../model/order.js';
import { memoriesOf } from './memory.js';
import { parseAddress, parseAsWritten } from './parse-address.js';

const { project } = pastedPlant('Io\tI/O block\t10.8.9.57/24', 'Ctl\tbyte memory\t10.8.9.1');
const [io, ctl] = inOrder(project, 'station').map(({ id }) => memoriesOf(project, id));
const at = (text: string, memories = io!) => {
  const read = parseAddress(text, memories);
  const area = read.ok ? memories.find((one) => one.area.id === read.value.area)?.area.kind : null;
  return read.ok ? `${area} ${read.value.number}` : read.expected;
};

// One register, three ways to write it: five digits, six digits, table and number apart. [common practice]
test('a reference is read as any master writes it, whichever way the station does', () => {
  for (const text of ['40101', '400101', '4:101', '4 101']) expect(at(text)).toBe('holding registers 101');
  for (const text of ['00003', '000003', '0:3']) expect(at(text)).toBe('coils 3');
  expect([parseAsWritten('40101', io!), parseAsWritten('4:101', io!)].map((one) => typeof one)).toEqual([
    'object',
    'object',
  ]);
  expect(parseAsWritten('400101', io!)).toBeNull();
});

test('what is no reference stays refused, and a station without tables reads none', () => {
  expect(at('7:3')).toContain('an address here looks like');
  expect(at('4:101', ctl!)).toContain('an address here looks like');
});
