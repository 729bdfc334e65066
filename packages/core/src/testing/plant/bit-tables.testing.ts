import type { Area } from '../../model/area.js';
import type { ReferenceTable } from '../../model/words.js';
import { told, type Plant } from './plant.testing.js';

/** A block of inputs and outputs with the four tables: a controller sets its coils and reads its discrete inputs. */
export function bitTables(plant: Plant): void {
  const { dice } = plant;
  const controller = plant.controller({ sort: dice.pick(['words', 'references', 'letters'] as const) });
  const block = plant.station('Block', { roles: ['telemetry unit'], scan: 5 });
  const port = plant.port(block, plant.lan);
  const table = (kind: ReferenceTable, digit: string): { area: string; digit: string } => {
    const area: Area = {
      id: plant.id('table'),
      order: plant.order,
      name: kind,
      station: block.id,
      kind,
      wordBits: 16,
      words: 64,
      writers: kind === 'coils' ? ['program'] : ['firmware'],
      reservations: {},
      views: { ref: { order: 10, name: 'references', notation: 'reference 5', table: kind, unit: 1, first: 1 } },
    };
    plant.put('area', area);
    return { area: area.id, digit };
  };
  const tables = { coils: table('coils', '0'), inputs: table('discrete inputs', '1') };
  const exchange = plant.exchange('Bits', 'modbus-tcp', { cadence: 200, timeout: 1000 });
  const listens = plant.end(exchange, block.id, port.id, 'listens');
  const at = { [listens.id]: told({ address: port.address }) };
  const calls = plant.end(exchange, controller.id, controller.port, 'calls', { told: at });
  let next = 1;
  for (let i = dice.from(1, 4); i > 0; i--) {
    const sets = dice.once(2);
    const { area, digit } = sets ? tables.coils : tables.inputs;
    const count = dice.pick([8, 16, 32]);
    const lane = plant.lane(exchange);
    const type = { base: 'BOOL', count };
    const word = controller.memory.take(2);
    plant.claim(lane, calls, {
      place: controller.memory.place(word),
      length: { count, unit: 1 },
      type,
      direction: sets ? 'writes' : 'reads',
      toldPlace: `${digit}${String(next).padStart(4, '0')}`,
    });
    plant.claim(lane, listens, {
      place: { area, view: 'ref', number: next },
      length: { count, unit: 1 },
      type,
      direction: sets ? 'reads' : 'writes',
    });
    next += count + dice.from(0, 9);
  }
}
