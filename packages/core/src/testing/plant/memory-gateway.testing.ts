import type { BlockEnd } from './blocks.testing.js';
import { claimOf, someBlock } from './blocks.testing.js';
import { told, type Member, type Plant } from './plant.testing.js';

/** A gateway keeps in its memory what one controller sets there, and another takes it out again. */
export function memoryGateway(plant: Plant): void {
  const { dice } = plant;
  // All three keep registers in one order, so that what is put in comes out as it was.
  const sorts = dice.once(2)
    ? (['words', 'references', 'offsets'] as const)
    : (['letters', 'apart', 'elements'] as const);
  const [puts, takes] = [plant.controller({ sort: dice.pick(sorts) }), plant.controller({ sort: dice.pick(sorts) })];
  const station = plant.station('Hub', { roles: ['gateway'], scan: 20 });
  const port = plant.port(station, plant.lan);
  const memory = plant.memory(station, sorts[1], { kind: 'gateway memory', writers: [] });
  const gateway: Member = { id: station.id, name: station.name, port: port.id, address: port.address, memory };
  const side = (member: Member): { ends: [BlockEnd, BlockEnd]; exchange: ReturnType<Plant['exchange']> } => {
    const exchange = plant.exchange('Hub', 'modbus-tcp', { kind: 'gateway memory', cadence: 500, timeout: 2000 });
    const listens = plant.end(exchange, gateway.id, gateway.port, 'listens');
    const at = told({ address: gateway.address });
    const calls = plant.end(exchange, member.id, member.port, 'calls', { told: { [listens.id]: at } });
    return {
      exchange,
      ends: [
        { end: calls, memory: member.memory },
        { end: listens, memory },
      ],
    };
  };
  const [into, out] = [side(puts), side(takes)];
  for (let i = dice.from(1, 3); i > 0; i--) {
    const block = someBlock(dice, 40);
    const kept = memory.take(block.words);
    for (const [{ exchange, ends }, direction, back] of [
      [into, 'writes', 'reads'],
      [out, 'reads', 'writes'],
    ] as const) {
      const lane = plant.lane(exchange);
      plant.meant(lane, block.values);
      const [calls, listens] = ends;
      plant.claim(lane, calls.end, {
        ...claimOf(plant, block, calls.memory, calls.memory.take(block.words)),
        direction,
        toldPlace: memory.text(kept),
      });
      plant.claim(lane, listens.end, { ...claimOf(plant, block, memory, kept), direction: back });
    }
  }
}
