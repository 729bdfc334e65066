import type { Project } from '../../model/project.js';
import { printedSeed } from '../../testing/oracle.testing.js';
import { Dice } from '../../testing/plant/dice.testing.js';
import { rightPlant } from '../../testing/plant/right-plant.testing.js';
import type { Link } from '../link.js';
import { Plant } from '../plant.js';
import { readRequest, writeRequest } from '../../protocol/modbus-frame.js';
import { answerPdu } from './answer.js';
import { requestsOf, type ModbusRequest } from './requests.js';
import { tablesOf } from './tables.js';

const seed = printedSeed('requests');

/** What links carry is filled by a dice, and each transfers once: in the plant, or by requests to the tables of whoever answers. */
function afterOneTransfer(project: Project, by: 'move' | 'requests') {
  const plant = new Plant(project);
  const dice = new Dice(seed);
  const asked = plant.links.flatMap((link) => {
    const { moves, stopped } = link.path;
    const requests = link.exchange.protocol.startsWith('modbus') ? requestsOf(project, link) : null;
    return requests && moves && moves !== 'values' && stopped === null ? [{ link, moves, requests }] : [];
  });
  const rows = asked.flatMap(({ moves: { from, to } }) => [from, to]);
  const each = (what: (memory: Uint8Array, bit: number) => void) =>
    rows.forEach(({ area, bits }) => {
      const memory = plant.memory.of(area);
      for (const bit of bits) if (bit >= 0) what(memory, bit);
    });
  each((memory, bit) => (memory[bit] = dice.from(0, 1)));
  for (const { link, requests } of asked) {
    if (by === 'move') link.move();
    else for (const request of requests) send(plant, link.path, request);
  }
  let bits = '';
  each((memory, bit) => (bits += memory[bit]));
  return { bits, links: asked.length, requests: asked.flatMap(({ requests }) => requests) };
}

function send(plant: Plant, { source, sink }: Plant['links'][number]['path'], request: ModbusRequest): void {
  const sets = source.end.calling === 'calls';
  const [caller, other] = sets ? [source, sink] : [sink, source];
  const tables = tablesOf(plant.project, other.station.id, plant.memory);
  const own = plant.memory.of(caller.block.memory.area.id);
  const { does, table, start, count, bits } = request;
  const width = bits.length / count;
  if (does === 'reads') {
    const answer = answerPdu(tables, Uint8Array.from(readRequest(table, start, count)));
    expect(answer[0]! & 0x80).toBe(0);
    bits.forEach((bit, i) => {
      if (bit < 0) return;
      own[bit] =
        width === 1
          ? (answer[2 + (i >> 3)]! >> (i & 7)) & 1
          : (answer[2 + 2 * (i >> 4) + (i & 8 ? 0 : 1)]! >> (i & 7)) & 1;
    });
    return;
  }
  const values = Array.from({ length: count }, (_, n) =>
    Array.from(bits.slice(n * width, (n + 1) * width)).reduce(
      (sum, bit, i) => sum | ((bit < 0 ? 0 : own[bit]!) << i),
      0,
    ),
  );
  const kept = bits.reduce((sum, bit, i) => (bit < 0 ? sum | (1 << i) : sum), 0);
  const [or] = values as [number];
  const mask = [22, start >> 8, start & 255, kept >> 8, kept & 255, or >> 8, or & 255];
  const pdu = does === 'masks' ? mask : writeRequest(table as 'coils', start, values);
  expect(answerPdu(tables, Uint8Array.from(pdu))[0]! & 0x80).toBe(0);
}

test('what a caller asks for in requests is bit for bit what the plant moves', () => {
  const seen = { reads: 0, writes: 0, registers: 0, bits: 0 };
  for (let i = 0; i < 25; i++) {
    const project = rightPlant(seed + i);
    const [moved, asked] = [afterOneTransfer(project, 'move'), afterOneTransfer(project, 'requests')];
    expect([seed + i, asked.bits]).toEqual([seed + i, moved.bits]);
    expect(moved.links).toBe(asked.links);
    for (const { does, table } of asked.requests) {
      seen[does === 'reads' ? 'reads' : 'writes']++;
      seen[table === 'coils' || table === 'discrete inputs' ? 'bits' : 'registers']++;
    }
  }
  expect(Math.min(...Object.values(seen))).toBeGreaterThan(0);
});

test('what is longer than one request may be is cut into several, and nothing is left out', () => {
  const reads = (i: number): [Plant, Link] => {
    const plant = new Plant(rightPlant(seed + i, ['requests']));
    const link = plant.links.find(
      (one) => one.exchange.protocol === 'modbus-tcp' && one.path.sink.end.calling === 'calls',
    );
    // Not every plant has a lane that is read.
    return link ? [plant, link] : reads(i + 1);
  };
  const [{ project }, link] = reads(0);
  const long = Int32Array.from({ length: 16 * 300 }, (_, i) => i);
  const { moves } = link.path;
  if (!moves || moves === 'values') throw new Error('it moves no bits');
  const cut = { from: { area: moves.from.area, bits: long }, to: { area: moves.to.area, bits: long } };
  const requests = requestsOf(project, { ...link, path: { ...link.path, moves: cut } })!;
  // [published: MODBUS Application Protocol Specification V1.1b3, 6.3: 125 registers at most] [from memory]
  expect(requests.map(({ start, count }) => [start, count])).toEqual([
    [0, 125],
    [125, 125],
    [250, 50],
  ]);
  expect(requests.flatMap(({ bits }) => Array.from(bits)).sort((a, b) => a - b)).toEqual(Array.from(long));
});
