import type { Unit } from '../../model/words.js';
import { inTag, tagOf } from './panel-tags.testing.js';
import { told, type Plant } from './plant.testing.js';

const BITS: Record<string, readonly [count: number, unit: Unit]> = { BOOL: [1, 1], INT: [1, 16], REAL: [2, 16] };

/** A simulator finds every point in the controller’s list by its exact name; a control room asks for others by text. */
export function namedTags(plant: Plant): void {
  const { dice } = plant;
  const controller = plant.controller({ sort: dice.pick(['words', 'elements'] as const) });
  const byText = dice.once(2);
  const entered = !byText && dice.once(2);
  const station = byText
    ? plant.station('Room', {
        roles: ['SCADA station', 'tag server'],
        profile: 'profile-scada',
        scan: 500,
        groups: { g: { order: 10, name: 'Plant', station: controller.id } },
      })
    : entered
      ? plant.station('Face', { roles: ['operator panel'], profile: 'profile-panel', scan: 200 })
      : plant.station('Sim', { roles: ['simulator'], profile: 'profile-simulator', scan: 50 });
  const port = plant.port(station, plant.lan);
  const exchange = plant.exchange(byText ? 'Items' : 'Trial', 'cip', {
    kind: 'tag map',
    cadence: 1000,
    timeout: 3000,
    binding: byText ? 'by item text' : 'by name',
    ...(entered ? { onLoss: { notRepeated: 'entered again by hand' as const } } : {}),
  });
  const listens = plant.end(exchange, controller.id, controller.port, 'listens');
  const at = { [listens.id]: told({ address: controller.address }) };
  const calls = plant.end(exchange, station.id, port.id, 'calls', { told: at });
  for (let i = dice.from(3, 10); i > 0; i--) {
    const base = dice.pick(Object.keys(BITS));
    const [count, unit] = BITS[base]!;
    const sets = !byText && dice.once(2);
    const name = plant.word('_01');
    const theirs = tagOf(plant, controller.id, base, { name, open: sets ? 'may set' : 'may read' });
    if (sets && entered) theirs.lastWord = 'the panel';
    const mine = tagOf(plant, station.id, base, {
      name: byText ? plant.word() : name,
      access: sets ? 'read and set' : 'read',
    });
    const lane = plant.lane(exchange);
    const length = { count, unit };
    plant.claim(lane, calls, {
      ...inTag(mine),
      length,
      direction: sets ? 'writes' : 'reads',
      toldPlace: byText ? `Plant.${name}` : null,
      ...(sets && entered ? { trigger: 'on change' as const } : {}),
    });
    plant.claim(lane, listens, { ...inTag(theirs), length, direction: sets ? 'reads' : 'writes' });
  }
}
