import { claimOf, someBlock } from './blocks.testing.js';
import { told, type Plant } from './plant.testing.js';

/** A controller asks meters on a serial line, each by its unit, for their input registers. */
export function serialLine(plant: Plant): void {
  const { dice } = plant;
  const line = plant.network('Line', { kind: 'serial line', wiring: 'two-wire' });
  const serial = dice.pick(['9600 8E1', '19200 8E1', '19200 8O1', '38400 8N2']);
  const set = { serial, electrical: 'RS-485' as const, mask: '' };
  const asks = plant.controller({ sort: dice.pick(['words', 'references', 'offsets']) });
  const station = plant.has('station').find(({ id }) => id === asks.id)!;
  const port = plant.port(station, line, { ...set, lineRole: 'calls' });
  const exchange = plant.exchange('Meters', 'modbus-rtu', { cadence: 5000, timeout: 500, responseDelay: 20 });
  const calls = plant.end(exchange, asks.id, port.id, 'calls');
  for (let i = dice.from(1, 4), unit = 11; i > 0; i--, unit += dice.from(1, 3)) {
    const meter = plant.station('Meter', { roles: ['telemetry unit'], scan: 100 });
    const theirs = plant.port(meter, line, { ...set, lineRole: 'answers', unit });
    const memory = plant.memory(meter, 'inputs', { name: 'Readings', kind: 'input registers', writers: ['firmware'] });
    const listens = plant.end(exchange, meter.id, theirs.id, 'listens');
    calls.told[listens.id] = told({ unit: String(unit) });
    const block = someBlock(dice, 20);
    const lane = plant.lane(exchange);
    const [there, here] = [memory.take(block.words), asks.memory.take(block.words)];
    plant.meant(lane, block.values);
    plant.claim(lane, listens, { ...claimOf(plant, block, memory, there), direction: 'writes' });
    plant.claim(lane, calls, { ...claimOf(plant, block, asks.memory, here), toldPlace: memory.text(there) });
  }
}
