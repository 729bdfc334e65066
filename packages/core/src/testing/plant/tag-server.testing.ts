import type { Unit } from '../../model/words.js';
import { inTag, tagOf } from './panel-tags.testing.js';
import { told, type Plant } from './plant.testing.js';

const BITS: Record<string, readonly [count: number, unit: Unit]> = { BOOL: [1, 1], DINT: [2, 16], REAL: [2, 16] };

/** A control room subscribes to variables that a controller offers by name. */
export function tagServer(plant: Plant): void {
  const { dice } = plant;
  const offers = plant.controller({ sort: 'words' });
  const room = plant.station('Room', { roles: ['SCADA station'], profile: 'profile-scada', scan: 500 });
  const port = plant.port(room, plant.lan);
  const exchange = plant.exchange('Variables', 'opc-ua', { kind: 'shared variables', cadence: 1000, timeout: 5000 });
  const listens = plant.end(exchange, offers.id, offers.port, 'listens');
  const at = { [listens.id]: told({ address: offers.address, tcpPort: dice.pick(['', '4840']) }) };
  const calls = plant.end(exchange, room.id, port.id, 'calls', { told: at });
  for (let i = dice.from(2, 6); i > 0; i--) {
    const base = dice.pick(Object.keys(BITS));
    const [count, unit] = BITS[base]!;
    const sets = dice.once(4);
    const lane = plant.lane(exchange);
    const length = { count, unit };
    const mine = tagOf(plant, room.id, base, { access: sets ? 'read and set' : 'read' });
    const theirs = tagOf(plant, offers.id, base, { open: sets ? 'may set' : 'may read' });
    plant.claim(lane, calls, { ...inTag(mine), length, direction: sets ? 'writes' : 'reads' });
    plant.claim(lane, listens, { ...inTag(theirs), length, direction: sets ? 'reads' : 'writes' });
  }
}
