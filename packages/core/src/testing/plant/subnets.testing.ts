import { blockLane } from './blocks.testing.js';
import { told, type Plant } from './plant.testing.js';

/** A controller and another one in a further subnet, with an IP router between them, which both have as their gateway. */
export function subnets(plant: Plant): void {
  const beyond = plant.network('Other LAN');
  const router = plant.station('Gate', { roles: ['router'], scan: null });
  const [near, far] = [plant.port(router, plant.lan), plant.port(router, beyond)];
  plant.put('profile', {
    id: plant.id('profile'),
    order: plant.order,
    name: plant.word(),
    layout: {},
    views: {},
    limits: {},
    words: {},
    nameRule: { caseMatters: false, source: 'its manual' },
    forwards: { packets: { what: 'IP packets', source: 'its manual' } },
  });
  router.profile = plant.has('profile').at(-1)!.id;
  const caller = plant.controller({ port: { gateway: near.address } });
  const listener = plant.controller({ network: beyond, port: { gateway: far.address } });
  const exchange = plant.exchange('Far', 'modbus-tcp', { cadence: 1000, timeout: 2000 });
  const listens = plant.end(exchange, listener.id, listener.port, 'listens');
  const at = { [listens.id]: told({ address: listener.address }) };
  const calls = plant.end(exchange, caller.id, caller.port, 'calls', { told: at });
  const mine = { end: calls, memory: caller.memory, names: true };
  const theirs = { end: listens, memory: listener.memory };
  blockLane(plant, exchange, mine, theirs, 'words');
  blockLane(plant, exchange, theirs, mine, 'words');
}
