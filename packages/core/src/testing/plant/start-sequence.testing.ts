import { blockLane } from './blocks.testing.js';
import { told, type Plant } from './plant.testing.js';

/** A controller answers once its program has set the bit by which its communication module listens. */
export function startSequence(plant: Plant): void {
  const [caller, listener] = [plant.controller(), plant.controller({ sort: 'letters', station: { scan: 20 } })];
  const area = plant.has('area').find(({ id }) => id === listener.memory.area)!;
  area.reservations = {
    module: {
      order: 10,
      start: 5000 * 16,
      length: 28 * 16,
      owner: 'its communication module',
      members: {
        listen: {
          order: 10,
          name: 'Listen',
          offset: 0,
          bits: 1,
          use: 'to listen',
          role: 'listens',
          signal: 'level',
          access: 'read and set',
        },
        up: { order: 20, name: 'Link up', offset: 16, bits: 1, use: 'status', access: 'read' },
      },
    },
  };
  const exchange = plant.exchange('Started', 'modbus-tcp', { cadence: 500, timeout: 2000 });
  const listens = plant.end(exchange, listener.id, listener.port, 'listens');
  const at = { [listens.id]: told({ address: listener.address }) };
  const calls = plant.end(exchange, caller.id, caller.port, 'calls', { told: at });
  exchange.start = {
    listen: { order: 10, end: listens.id, does: 'sets Listen and holds it', member: `${area.id} module listen` },
  };
  blockLane(
    plant,
    exchange,
    { end: calls, memory: caller.memory, names: true },
    { end: listens, memory: listener.memory },
    'words',
  );
}
