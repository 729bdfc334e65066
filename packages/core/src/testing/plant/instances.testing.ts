import { told, type Plant } from './plant.testing.js';
import { DECIDED } from './shared-variables.testing.js';

/** A panel on a generic cyclic connection: instances for what goes each way, sizes in elements of 32 bits. */
export function instances(plant: Plant): void {
  const { dice } = plant;
  const controller = plant.controller({ sort: 'elements' });
  const panel = plant.controller({ sort: 'elements', station: { roles: ['operator panel'] } });
  const exchange = plant.exchange('Cyclic', 'cip', {
    transfer: 'cyclic blocks',
    cadence: 100,
    timeout: 500,
    onLoss: { ...DECIDED },
  });
  const known = { input: String(dice.from(100, 120)), output: String(dice.from(121, 150)), configuration: '151' };
  const listens = plant.end(exchange, panel.id, panel.port, 'listens', { references: { ...known }, elementBits: 32 });
  const calls = plant.end(exchange, controller.id, controller.port, 'calls', {
    references: { ...known },
    elementBits: 32,
    told: { [listens.id]: told({ address: panel.address, ...known }) },
  });
  for (const out of [true, false]) {
    const elements = dice.from(2, 10);
    const lane = plant.lane(exchange);
    for (const [end, { memory }, writes] of [
      [calls, controller, out],
      [listens, panel, !out],
    ] as const) {
      plant.claim(lane, end, {
        place: memory.place(memory.take(2 * elements)),
        length: { count: elements, unit: 32 },
        type: { base: 'DINT', count: elements },
        direction: writes ? 'writes' : 'reads',
      });
    }
  }
  plant.watched(exchange);
}
