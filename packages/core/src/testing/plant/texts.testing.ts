import { told, type Plant } from './plant.testing.js';

/** Texts from one controller to another, both with the same header before them. */
export function texts(plant: Plant): void {
  const { dice } = plant;
  const sort = dice.pick(['words', 'references', 'offsets'] as const);
  const [caller, listener] = [plant.controller({ sort }), plant.controller({ sort })];
  for (const { memory } of [caller, listener]) {
    const area = plant.has('area').find(({ id }) => id === memory.area)!;
    area.layout = { ...area.layout, stringHeader: 'capacity and length', characters: 'byte' };
  }
  const exchange = plant.exchange('Texts', 'modbus-tcp', { cadence: 1000, timeout: 2000 });
  const listens = plant.end(exchange, listener.id, listener.port, 'listens');
  const at = { [listens.id]: told({ address: listener.address }) };
  const calls = plant.end(exchange, caller.id, caller.port, 'calls', { told: at });
  for (let i = dice.from(1, 3); i > 0; i--) {
    const capacity = 2 * dice.from(4, 30);
    const words = (capacity + 2) / 2;
    const lane = plant.lane(exchange);
    const there = listener.memory.take(words);
    const sends = dice.once(2);
    const type = { base: 'STRING', count: 1, capacity };
    plant.claim(lane, calls, {
      place: caller.memory.place(caller.memory.take(words)),
      length: caller.memory.length(words),
      type,
      direction: sends ? 'writes' : 'reads',
      toldPlace: listener.memory.text(there),
    });
    plant.claim(lane, listens, {
      place: listener.memory.place(there),
      length: listener.memory.length(words),
      type,
      direction: sends ? 'reads' : 'writes',
    });
  }
}
