import { told, type Plant } from './plant.testing.js';
import { DECIDED } from './shared-variables.testing.js';

/** Two controllers on networks of their own couple their bytes, slot by slot, through a station between them. */
export function coupler(plant: Plant): void {
  const { dice } = plant;
  const far = plant.network('Far LAN');
  const couples = plant.station('Link', { roles: ['coupler'], profile: 'profile-coupler', scan: null });
  const deviceName = plant.id('link');
  const sides = [plant.lan, far].map((network) => {
    const sort = dice.pick(['words', 'references', 'bytes', 'offsets'] as const);
    const member = plant.controller({ sort, network, port: { purpose: 'I/O' } });
    const port = plant.port(couples, network, { purpose: 'I/O', deviceName });
    return { member, port };
  });
  const exchange = plant.exchange('Coupled', 'cyclic-ethernet-io', {
    kind: 'coupler area',
    transfer: 'cyclic blocks',
    cadence: 16,
    timeout: 100,
    via: couples.id,
    onLoss: { ...DECIDED },
  });
  const ends = sides.map(({ member }) => plant.end(exchange, member.id, member.port, 'calls'));
  // Each side finds the coupler by its name.
  ends[0]!.told = { [ends[1]!.id]: told({ name: deviceName }) };
  ends[1]!.told = { [ends[0]!.id]: told({ name: deviceName }) };
  for (let slot = 1, slots = dice.from(2, 5); slot <= slots; slot++) {
    const words = dice.from(1, 8);
    const writes = dice.below(2);
    const lane = plant.lane(exchange);
    exchange.watchedBy ??= lane;
    ends.forEach((end, i) => {
      const { memory } = sides[i]!.member;
      plant.claim(lane, end, {
        place: memory.place(memory.take(words)),
        length: memory.length(words),
        slot,
        type: { base: 'BYTE', count: 2 * words },
        direction: i === writes ? 'writes' : 'reads',
      });
    });
  }
}
