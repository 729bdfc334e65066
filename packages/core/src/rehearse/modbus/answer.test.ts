import type { ReferenceTable } from '../../model/words.js';
import { answerPdu } from './answer.js';
import type { Tables } from './tables.js';

/** A device with as many entries of each table as the text says, and what it was set to. */
function device(sizes: Partial<Record<ReferenceTable, number>>) {
  const all = new Map(Object.entries(sizes).map(([table, size]) => [table, new Array<number>(size).fill(0)]));
  const within = (table: ReferenceTable, start: number, count: number) => {
    const values = all.get(table);
    return values && start + count <= values.length ? values : null;
  };
  const tables: Tables = {
    read: (table, start, count) => within(table, start, count)?.slice(start, start + count) ?? null,
    write(table, start, values) {
      const own = table === 'coils' || table === 'holding registers' ? within(table, start, values.length) : null;
      values.forEach((value, i) => own && (own[start + i] = value));
      return own !== null;
    },
  };
  return { tables, all };
}

const hex = (bytes: Uint8Array): string => Buffer.from(bytes).toString('hex').toUpperCase();
const bytes = (text: string): Uint8Array => Uint8Array.from(Buffer.from(text.replace(/ /g, ''), 'hex'));

describe('the examples of the standard', () => {
  /** What stands in the tables before, by protocol address. */
  const ask = (sets: readonly (readonly [ReferenceTable, number, number])[], request: string) => {
    const { tables, all } = device({
      coils: 600,
      'discrete inputs': 600,
      'holding registers': 600,
      'input registers': 600,
    });
    for (const [table, at, value] of sets) all.get(table)![at] = value;
    return { answer: hex(answerPdu(tables, bytes(request))), all };
  };
  const bitsFrom = (table: ReferenceTable, at: number, text: string) =>
    Array.from(text.replace(/ /g, ''), (bit, i) => [table, at + i, Number(bit)] as const);

  // [published: MODBUS Application Protocol Specification V1.1b3, the example of each function] [from memory]
  test.each([
    ['6.1 read coils 20 to 38', bitsFrom('coils', 19, '1011 0011 1101 0110 101'), '01 00 13 00 13', '0103CD6B05'],
    [
      '6.2 read discrete inputs 197 to 218',
      bitsFrom('discrete inputs', 196, '0011 0101 1101 1011 101011'),
      '02 00 C4 00 16',
      '0203ACDB35',
    ],
    [
      '6.3 read holding registers 108 to 110',
      [
        ['holding registers', 107, 0x022b],
        ['holding registers', 108, 0],
        ['holding registers', 109, 0x64],
      ],
      '03 00 6B 00 03',
      '0306022B00000064',
    ],
    ['6.4 read input register 9', [['input registers', 8, 10]], '04 00 08 00 01', '0402000A'],
    ['6.5 write coil 173', [], '05 00 AC FF 00', '0500ACFF00'],
    ['6.6 write register 2', [], '06 00 01 00 03', '0600010003'],
    ['6.11 write 10 coils from 20 on', [], '0F 00 13 00 0A 02 CD 01', '0F0013000A'],
    ['6.12 write registers 2 and 3', [], '10 00 01 00 02 04 00 0A 01 02', '1000010002'],
    ['6.16 mask write register 5', [['holding registers', 4, 0x12]], '16 00 04 00 F2 00 25', '16000400F20025'],
    [
      '6.17 read 6 from 4, write 3 from 15',
      [
        ['holding registers', 3, 0x00fe],
        ['holding registers', 4, 0x0acd],
        ['holding registers', 5, 1],
        ['holding registers', 6, 3],
        ['holding registers', 7, 0x0d],
        ['holding registers', 8, 0xff],
      ],
      '17 00 03 00 06 00 0E 00 03 06 00 FF 00 FF 00 FF',
      '170C00FE0ACD00010003000D00FF',
    ],
  ] as const)('%s', (_, sets, request, answer) => expect(ask(sets, request).answer).toBe(answer));

  test('a mask keeps what it covers, and sets the rest: 12 with F2 and 25 is 17', () => {
    expect(ask([['holding registers', 4, 0x12]], '16 00 04 00 F2 00 25').all.get('holding registers')![4]).toBe(0x17);
  });
  test('ten coils from 20 on are CD 01, the first the lowest', () => {
    const coils = ask([], '0F 00 13 00 0A 02 CD 01').all.get('coils')!;
    expect(coils.slice(19, 29).join('')).toBe('1011001110');
  });
});

describe('exceptions: quantity before address, and a function that there is not before both', () => {
  const { tables } = device({ coils: 100, 'discrete inputs': 100, 'holding registers': 200, 'input registers': 200 });
  const many = (count: number) => 'AA'.repeat(count);
  // [published: MODBUS Application Protocol Specification V1.1b3, the state diagram of each function, and 7] [from memory]
  test.each([
    ['01 00 00 00 00', '8103'],
    ['01 00 00 07 D1', '8103'],
    ['01 00 60 00 05', '8102'],
    ['02 00 00 00 00', '8203'],
    ['02 FF FF 00 02', '8202'],
    ['03 00 00 00 00', '8303'],
    ['03 00 00 00 7E', '8303'],
    ['03 00 C8 00 01', '8302'],
    ['04 00 00 00 7E', '8403'],
    ['04 00 C7 00 02', '8402'],
    ['05 00 00 00 01', '8503'],
    ['05 00 64 FF 00', '8502'],
    ['06 00 C8 00 01', '8602'],
    ['06 00 00', '8603'],
    ['0F 00 00 00 00 00', '8F03'],
    [`0F 00 00 07 B1 F7 ${many(247)}`, '8F03'],
    ['0F 00 00 00 09 01 FF', '8F03'],
    ['0F 00 60 00 08 01 FF', '8F02'],
    ['10 00 00 00 00 00', '9003'],
    [`10 00 00 00 7C F8 ${many(248)}`, '9003'],
    ['10 00 00 00 02 02 00 01', '9003'],
    ['10 00 C7 00 02 04 00 01 00 02', '9002'],
    ['16 00 00 00 F2', '9603'],
    ['16 00 C8 00 F2 00 25', '9602'],
    ['17 00 00 00 00 00 00 00 01 02 00 01', '9703'],
    ['17 00 00 00 7E 00 00 00 01 02 00 01', '9703'],
    ['17 00 00 00 01 00 00 00 00 00', '9703'],
    [`17 00 00 00 01 00 00 00 7A F4 ${many(244)}`, '9703'],
    ['17 00 C8 00 01 00 00 00 01 02 00 01', '9702'],
    ['17 00 00 00 01 00 C8 00 01 02 00 01', '9702'],
    ['07', '8701'],
    ['2B 0E 01 00', 'AB01'],
    ['63', 'E301'],
  ])('%s is answered with %s', (request, answer) => expect(hex(answerPdu(tables, bytes(request)))).toBe(answer));

  test('what is refused changes nothing: of a read and a write at once neither is done', () => {
    const own = device({ 'holding registers': 10 });
    expect(hex(answerPdu(own.tables, bytes('17 00 09 00 02 00 00 00 01 02 12 34')))).toBe('9702');
    expect(own.all.get('holding registers')!.every((value) => value === 0)).toBe(true);
  });
  test.each([
    ['the most coils', '01 00 00 00 64', 2 + 13],
    ['the most registers', '03 00 00 00 7D', 2 + 250],
  ])('%s are answered', (_, request, length) => expect(answerPdu(tables, bytes(request))).toHaveLength(length));
});
