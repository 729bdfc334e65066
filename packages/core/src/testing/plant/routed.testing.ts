import { told, type Plant } from './plant.testing.js';

/** An engineer reaches a controller on a bus through a router, and a control room a CPU behind the backplane of a rack. */
export function routed(plant: Plant): void {
  const { dice } = plant;
  const set = { busRate: '500 kbit/s', busProfile: 'standard' };
  const bus = plant.network('Service bus', { kind: 'token bus', ...set, highestAddress: '31' });
  const router = plant.station('Bridge', { roles: ['router'], profile: 'profile-router', scan: null });
  const [near] = [plant.port(router, plant.lan), plant.port(router, bus, { ...set, node: '5', busActive: true })];
  const far = plant.station('Far', { scan: 10 });
  const node = String(dice.from(6, 30));
  plant.port(far, bus, { ...set, node, busActive: true });
  const laptop = plant.station('Tool', { roles: ['workstation'], profile: 'profile-workstation', scan: null });
  const adapter = plant.port(laptop, plant.lan, { purpose: 'programming' });
  const route = plant.id('route');
  plant.put('route', {
    id: route,
    order: plant.order,
    from: laptop.id,
    to: far.id,
    port: adapter.id,
    traffic: 'program transfer',
    stated: `${plant.lan.name} > ${near.address} / ${bus.name} > ${node}`,
  });
  plant.put('helper', {
    id: plant.id('helper'),
    order: 10,
    station: far.id,
    standsFor: router.id,
    route,
    drawnAs: 'router',
    address: '5',
    presence: 'planned',
  });
  const rackCtl = plant.station('Rack', { scan: 10 });
  const rack = { id: plant.id('rack'), order: 10, name: 'Rack', station: rackCtl.id, size: 6, first: 0, gaps: true };
  plant.put('rack', { ...rack, zones: {}, takes: [] });
  const slot = dice.from(0, 2);
  const plugged = (at: number, kind: 'CPU' | 'communication', orderCode: string) => {
    const id = plant.id('module');
    plant.put('module', {
      id,
      order: at,
      name: plant.word(),
      rack: rack.id,
      slot: at,
      kind,
      orderCode,
      inputs: 0,
      outputs: 0,
    });
    return id;
  };
  plugged(slot, 'CPU', 'CP-400');
  const port = plant.port(rackCtl, plant.lan, { module: plugged(4, 'communication', 'EN-1') });
  const room = plant.station('Room', { roles: ['SCADA station'], profile: 'profile-scada', scan: 500 });
  const own = plant.port(room, plant.lan);
  plant.put('route', {
    id: plant.id('route'),
    order: plant.order,
    from: room.id,
    to: rackCtl.id,
    port: own.id,
    traffic: 'requests',
    stated: `${plant.lan.name} > ${port.address} / rack > ${slot}`,
  });
  const visit = plant.exchange('Service', 'service-access', { kind: 'service link', cadence: null, timeout: null });
  const listens = plant.end(visit, rackCtl.id, port.id, 'listens');
  plant.end(visit, laptop.id, adapter.id, 'calls', {
    told: { [listens.id]: told({ address: port.address, slot: String(slot) }) },
  });
}
