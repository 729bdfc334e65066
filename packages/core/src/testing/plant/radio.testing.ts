import { lanesFromDials } from '../../exchange/radio-lanes.js';
import type { Area } from '../../model/area.js';
import { told, type Plant } from './plant.testing.js';
import { DECIDED } from './shared-variables.testing.js';

/** Units by radio, whose modules lie in registers of the base by their dials; a controller asks the base over its line. */
export function radio(plant: Plant): void {
  const { dice } = plant;
  const count = dice.from(2, 3);
  const set = { id: '21', band: '869 MHz', rate: '9.6 kbit/s', mode: 'mirror' };
  const air = plant.network('Radio', { kind: 'radio', radio: { ...set, endUnits: count, repeaters: 0 } });
  const base = plant.station('Base', { roles: ['radio unit'], profile: 'profile-radio-base', scan: 100 });
  const basePort = plant.port(base, air, { radio: { sort: 'base', number: '4', ...set } });
  const registers = plant.id('area');
  const area: Area = {
    id: registers,
    order: 20,
    station: base.id,
    kind: 'input registers',
    name: 'Input registers',
    wordBits: 16,
    words: 64,
    writers: [],
    reservations: {},
    views: {
      ref: { order: 10, name: 'references', notation: 'reference 5', table: 'input registers', unit: 16, first: 1 },
    },
  };
  plant.put('area', area);
  const weather = plant.exchange('Radio', 'radio-mirror', {
    kind: 'gateway memory',
    transfer: 'cyclic blocks',
    cadence: 1000,
    timeout: null,
    onLoss: { ...DECIDED },
  });
  plant.end(weather, base.id, basePort.id, 'listens');
  const line = plant.network('Line', { kind: 'serial line', wiring: 'two-wire' });
  const serial = { serial: '19200 8E1', electrical: 'RS-485' as const };
  const asks = plant.controller({ sort: dice.pick(['words', 'references'] as const) });
  const station = plant.has('station').find(({ id }) => id === asks.id)!;
  const port = plant.port(station, line, { ...serial, lineRole: 'calls' });
  const answers = plant.port(base, line, { ...serial, lineRole: 'answers', unit: 21 });
  const readings = plant.exchange('Readings', 'modbus-rtu', {
    kind: 'gateway memory',
    cadence: 2000,
    timeout: 500,
    responseDelay: 20,
  });
  const listens = plant.end(readings, base.id, answers.id, 'listens');
  const calls = plant.end(readings, asks.id, port.id, 'calls', { told: { [listens.id]: told({ unit: '21' }) } });
  for (let i = 0; i < count; i++) {
    const unit = plant.station('Mast', { roles: ['radio unit'], profile: 'profile-radio-unit', scan: 500 });
    const theirs = plant.port(unit, air, { radio: { sort: 'end unit', number: String(7 + i), ...set } });
    const rack = { id: plant.id('rack'), order: 10, name: 'Rack', station: unit.id, size: 2, first: 0, gaps: true };
    plant.put('rack', { ...rack, zones: {}, takes: [] });
    const dial = 1 + 2 * i;
    plant.put('module', {
      id: plant.id('module'),
      order: 10,
      name: plant.word(),
      rack: rack.id,
      slot: 0,
      kind: 'analogue input',
      orderCode: 'RA-2',
      inputs: 4,
      outputs: 0,
      dial: String(dial),
      dialRead: true,
    });
    plant.end(weather, unit.id, theirs.id, 'calls');
    // Four registers a dial, from dial 0 at reference 30001: two of them are used.
    const reference = 1 + 4 * dial;
    const lane = plant.lane(readings);
    const block = { length: { count: 2, unit: 16 as const }, type: { base: 'INT', count: 2 } };
    plant.claim(lane, listens, {
      ...block,
      place: { area: registers, view: 'ref', number: reference },
      direction: 'writes',
    });
    plant.claim(lane, calls, {
      place: asks.memory.place(asks.memory.take(2)),
      length: asks.memory.length(2),
      type: { base: 'INT', count: 2 },
      toldPlace: `3${String(reference).padStart(4, '0')}`,
    });
  }
  plant.after((project) => lanesFromDials(project, weather, () => plant.id('mirrored')));
  plant.watched(weather);
}
