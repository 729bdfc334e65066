import { blockLane } from './blocks.testing.js';
import { told, type Plant } from './plant.testing.js';
import { DECIDED } from './shared-variables.testing.js';

/** Blocks both ways over a connection with a selector at each end. */
export function references(plant: Plant): void {
  const { dice } = plant;
  const [one, other] = [plant.controller(), plant.controller()];
  const exchange = plant.exchange('Pair', 'iso-transport', {
    transfer: 'cyclic blocks',
    cadence: 100,
    timeout: 500,
    onLoss: { ...DECIDED },
  });
  const [mine, theirs] = [String(dice.from(1, 8)), String(dice.from(11, 18))];
  const calls = plant.end(exchange, one.id, one.port, 'calls', { references: { connection: mine } });
  const listens = plant.end(exchange, other.id, other.port, 'listens', { references: { connection: theirs } });
  calls.told = { [listens.id]: told({ address: other.address, connection: theirs }) };
  listens.told = { [calls.id]: told({ address: one.address, connection: mine }) };
  const [a, b] = [
    { end: calls, memory: one.memory },
    { end: listens, memory: other.memory },
  ];
  blockLane(plant, exchange, a, b, 'bytes');
  blockLane(plant, exchange, b, a, 'bytes');
  plant.watched(exchange);
}
