import { inTag, tagOf } from './panel-tags.testing.js';
import { told, type Plant } from './plant.testing.js';

/** A control room asks a telemetry unit by its telemetry address; a laptop was told the same of it. */
export function telemetry(plant: Plant): void {
  const { dice } = plant;
  const room = plant.station('Room', { roles: ['SCADA station'], profile: 'profile-scada', scan: 500 });
  const unit = plant.station('Rtu', { roles: ['telemetry unit'], profile: 'profile-telemetry', scan: 500 });
  const number = String(dice.from(3, 900));
  const asks = plant.port(room, plant.lan);
  const answers = plant.port(unit, plant.lan, { telemetry: number });
  const exchange = plant.exchange('Telemetry', 'dnp3', { cadence: 5000, timeout: 3000 });
  const listens = plant.end(exchange, unit.id, answers.id, 'listens');
  const at = { [listens.id]: told({ address: answers.address, telemetry: number }) };
  const calls = plant.end(exchange, room.id, asks.id, 'calls', { told: at });
  for (let i = dice.from(1, 4); i > 0; i--) {
    const lane = plant.lane(exchange);
    const length = { count: 32, unit: 1 as const };
    plant.claim(lane, calls, { ...inTag(tagOf(plant, room.id, 'REAL')), length });
    plant.claim(lane, listens, { ...inTag(tagOf(plant, unit.id, 'REAL')), length, direction: 'writes' });
  }
  const laptop = plant.station('Laptop', { roles: ['workstation'], profile: 'profile-workstation', scan: null });
  const adapter = plant.port(laptop, plant.lan, { purpose: 'programming' });
  const visit = plant.exchange('Visit', 'service-access', { kind: 'service link', cadence: null, timeout: null });
  const visited = plant.end(visit, unit.id, answers.id, 'listens');
  plant.end(visit, laptop.id, adapter.id, 'calls', {
    told: { [visited.id]: told({ address: answers.address, telemetry: number }) },
  });
}
