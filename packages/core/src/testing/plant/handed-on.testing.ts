import { claimOf, someBlock } from './blocks.testing.js';
import { told, type Member, type Plant } from './plant.testing.js';

/** A gateway copies what one controller sets in it to where another one reads. */
export function handedOn(plant: Plant): void {
  const { dice } = plant;
  const [puts, takes] = [plant.controller({ sort: 'words' }), plant.controller({ sort: 'references' })];
  const hub = plant.station('Hub', { roles: ['gateway'], scan: 20 });
  const port = plant.port(hub, plant.lan);
  const memory = plant.memory(hub, dice.pick(['words', 'offsets'] as const), { kind: 'gateway memory', writers: [] });
  const side = (member: Member, name: string) => {
    const exchange = plant.exchange(name, 'modbus-tcp', { kind: 'gateway memory', cadence: 500, timeout: 2000 });
    const listens = plant.end(exchange, hub.id, port.id, 'listens');
    const at = { [listens.id]: told({ address: port.address }) };
    return { exchange, listens, calls: plant.end(exchange, member.id, member.port, 'calls', { told: at }), member };
  };
  const [into, out] = [side(puts, 'Into'), side(takes, 'Out')];
  const block = someBlock(dice, 30);
  const [arrives, leaves] = [memory.take(block.words), memory.take(block.words)];
  plant.put('copy', {
    id: plant.id('copy'),
    order: 10,
    station: hub.id,
    name: 'Readings',
    reader: takes.id,
    from: memory.place(arrives),
    to: memory.place(leaves),
    length: memory.length(block.words),
  });
  for (const [{ exchange, listens, calls, member }, at, does, back] of [
    [into, arrives, 'writes', 'reads'],
    [out, leaves, 'reads', 'writes'],
  ] as const) {
    const lane = plant.lane(exchange);
    plant.meant(lane, block.values);
    const own = member.memory.take(block.words);
    const toldPlace = memory.text(at);
    plant.claim(lane, calls, { ...claimOf(plant, block, member.memory, own), direction: does, toldPlace });
    plant.claim(lane, listens, { ...claimOf(plant, block, memory, at), direction: back });
  }
}
