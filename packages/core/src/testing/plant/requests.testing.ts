import { blockLane } from './blocks.testing.js';
import { told, type Plant } from './plant.testing.js';

/** A controller asks another for blocks of registers, and sets some, over Ethernet. */
export function requests(plant: Plant): void {
  const { dice } = plant;
  const [caller, listener] = [plant.controller(), plant.controller()];
  const exchange = plant.exchange('Requests', 'modbus-tcp', { cadence: dice.pick([200, 500, 1000]), timeout: 2000 });
  const listens = plant.end(exchange, listener.id, listener.port, 'listens');
  const at = told({ address: listener.address, tcpPort: dice.pick(['', '502']) });
  const calls = plant.end(exchange, caller.id, caller.port, 'calls', { told: { [listens.id]: at } });
  const mine = { end: calls, memory: caller.memory, names: true };
  const theirs = { end: listens, memory: listener.memory };
  for (let i = dice.from(1, 4); i > 0; i--) {
    if (dice.once(2)) blockLane(plant, exchange, mine, theirs, 'words');
    else blockLane(plant, exchange, theirs, mine, 'words');
  }
}
