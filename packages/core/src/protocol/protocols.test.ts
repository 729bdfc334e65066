import { newExchange } from '../create/new-entities.js';
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

test('every protocol of the catalogue can be chosen, has a source, and says where the other end is wherever that is told', () => {
  for (const protocol of PROTOCOLS) {
    expect(PROTOCOL_CHOICES.some((c) => c.id === protocol.id)).toBe(true);
    expect(protocol.source.length).toBeGreaterThan(5);
    const [first] = protocol.told.calls;
    if (first) expect(['address', 'unit', 'node', 'name']).toContain(first.field);
    // The default that is told is the one that is listened on.
    const tcpPort = protocol.told.calls.find((t) => t.field === 'tcpPort')?.fallback;
    expect(tcpPort ?? null).toBe(protocol.tcpPort === null ? null : String(protocol.tcpPort));
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

test('TCP ports of the protocols [published: IANA Service Name and Transport Protocol Port Number Registry] [from memory]', () => {
  const ports = Object.fromEntries(PROTOCOLS.map((p) => [p.id, p.tcpPort]));
  expect(ports).toMatchObject({ 'modbus-tcp': 502, dnp3: 20000, 'iso-transport': 102, cip: 44818, 'opc-ua': 4840 });
});

test('a token bus moves 244 bytes each way in one exchange [published: IEC 61158 type 3] [from memory]', () => {
  expect(PROTOCOLS.find((p) => p.id === 'token-bus-io')?.limit).toEqual({ reads: 1952, writes: 1952 });
});
