import { newExchange } from '../model/create.js';
import { PROTOCOLS, PROTOCOL_CHOICES, protocolOf } from './catalogue.js';
import { modbusTcp } from './modbus-tcp.js';

test('a Modbus request reads 125 registers at most and writes 123 [published: MODBUS Application Protocol V1.1b3, 6.3, 6.12] [from memory]', () => {
  expect(modbusTcp.limit).toEqual({ reads: 125 * 16, writes: 123 * 16 });
});

test('Modbus registers arrive as the same numbers, at the place that the caller names', () => {
  expect(modbusTcp.carries('requests')).toBe('words');
  expect(modbusTcp.places('requests')).toBe('named');
  expect(modbusTcp.tcpPort).toBe(502);
});

test('every protocol of the catalogue can be chosen, has a source, and tells a calling end the address', () => {
  for (const protocol of PROTOCOLS) {
    expect(PROTOCOL_CHOICES.some((c) => c.id === protocol.id)).toBe(true);
    expect(protocol.source.length).toBeGreaterThan(5);
    expect(protocol.told.calls[0]?.field).toBe('address');
  }
});

test('other is what the exchange says of it; an unknown protocol is taken as other', () => {
  const facts = { name: 'Blocks', carries: 'bits', places: 'same', tcpPort: 9000, unitTold: true } as const;
  const other = protocolOf({ ...newExchange('x', 1, 'X', 'other'), facts });
  expect([other.name, other.carries('requests'), other.places('requests'), other.tcpPort]).toEqual([
    'Blocks',
    'bits',
    'same',
    9000,
  ]);
  expect(other.told.calls.map((t) => [t.field, t.fallback])).toEqual([
    ['address', null],
    ['tcpPort', '9000'],
    ['unit', null],
  ]);
  expect(protocolOf(newExchange('x', 1, 'X', 'gone')).id).toBe('other');
});

test('cyclic blocks name nobody’s place', () => {
  const facts = { name: 'Blocks', carries: 'bytes', places: 'named', tcpPort: null, unitTold: false } as const;
  expect(protocolOf({ ...newExchange('x', 1, 'X', 'other'), facts }).places('cyclic blocks')).toBe('free');
});
