import { told, type Plant } from './plant.testing.js';
import { DECIDED } from './shared-variables.testing.js';

/** A controller and its devices on a token bus, each by its node, with images of bytes both ways. */
export function busIo(plant: Plant): void {
  const { dice } = plant;
  const set = { busRate: dice.pick(['500 kbit/s', '1.5 Mbit/s']), busProfile: 'standard' };
  const bus = plant.network('Bus', { kind: 'token bus', ...set, highestAddress: '31' });
  const master = plant.controller({ sort: dice.pick(['words', 'bytes'] as const) });
  const station = plant.has('station').find(({ id }) => id === master.id)!;
  const port = plant.port(station, bus, { ...set, node: '2', busActive: true });
  const exchange = plant.exchange('Bus', 'token-bus-io', {
    transfer: 'cyclic blocks',
    cadence: 50,
    timeout: 500,
    onLoss: { ...DECIDED },
  });
  const calls = plant.end(exchange, master.id, port.id, 'calls');
  const [inputs, outputs] = [plant.image(master.id, 'input image'), plant.image(master.id, 'output image')];
  const used = { in: 0, out: 0 };
  for (let i = dice.from(1, 3), next = 3; i > 0; i--, next += dice.from(1, 4)) {
    const node = String(next);
    const device = plant.station('Drive', { roles: ['controller'], scan: 5 });
    const theirs = plant.port(device, bus, { ...set, node });
    const listens = plant.end(exchange, device.id, theirs.id, 'listens');
    const [sees, sets] = [plant.image(device.id, 'input image'), plant.image(device.id, 'output image')];
    calls.told[listens.id] = told({ node });
    for (const inwards of [true, false]) {
      const bytes = 2 * dice.from(1, 6);
      const lane = plant.lane(exchange);
      const block = { length: { count: bytes, unit: 8 as const }, type: { base: 'BYTE', count: bytes } };
      const way = inwards ? 'in' : 'out';
      const at = (inwards ? inputs : outputs)(used[way]);
      used[way] += bytes;
      plant.claim(lane, calls, { ...block, place: at, direction: inwards ? 'reads' : 'writes' });
      plant.claim(lane, listens, {
        ...block,
        place: inwards ? sets(0) : sees(0),
        direction: inwards ? 'writes' : 'reads',
      });
    }
  }
  plant.watched(exchange);
}
