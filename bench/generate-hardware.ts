import type { Landing, Module, Network, Port, Rack } from '@dialoga/core/model';

/** Racks, modules and landings of all stations, and serial lines of twenty units each: what stands beside the exchanges. */
export interface GeneratedHardware {
  network: Network[];
  port: Port[];
  rack: Rack[];
  module: Module[];
  landing: Landing[];
}

const LINES = 10;
const SLOTS = 25;
const MODULES = 8;

export function generateHardware(stations: number): GeneratedHardware {
  const hardware: GeneratedHardware = { network: [], port: [], rack: [], module: [], landing: [] };
  for (let i = 0; i < LINES; i++) {
    hardware.network.push({
      id: `line${i}`,
      order: 1000 + i,
      name: `Line ${i}`,
      kind: 'serial line',
      wiring: 'two-wire',
    });
  }
  for (let s = 0; s < stations; s++) {
    const line = s % LINES;
    const unit = Math.floor(s / LINES);
    hardware.port.push({
      id: `q${s}`,
      order: 2,
      name: 'Serial',
      station: `s${s}`,
      network: `line${line}`,
      enabled: true,
      purpose: 'general',
      address: '',
      mask: '',
      gateway: '',
      former: [],
      listens: {},
      serial: '9600 8E1',
      unit: unit === 0 ? null : unit,
      lineRole: unit === 0 ? 'calls' : 'answers',
      electrical: 'RS-485',
    });
    hardware.rack.push({
      id: `rack${s}`,
      order: 1,
      name: 'Rack',
      station: `s${s}`,
      size: SLOTS,
      first: 0,
      gaps: false,
      zones: {},
      takes: [],
    });
    for (let slot = 0; slot < MODULES; slot++) {
      const id = `m${s}-${slot}`;
      const seen = { orderCode: `DI-${slot % 4}`, revision: '5.2' };
      hardware.module.push({
        id,
        order: slot,
        name: `Module ${slot}`,
        rack: `rack${s}`,
        slot,
        orderCode: seen.orderCode,
        kind: slot === 0 ? 'CPU' : 'digital input',
        inputs: slot === 0 ? 0 : 4,
        outputs: 0,
        found: seen,
      });
      if (slot === 0) continue;
      hardware.landing.push({
        id: `d${s}-${slot}`,
        order: slot,
        station: `s${s}`,
        module: id,
        role: 'owner',
        slot,
        inputsAt: { area: `a${s}`, view: 'w', number: 59_000 + slot * 2 },
        outputsAt: null,
        inputs: 4,
        outputs: 0,
        orderCode: seen.orderCode,
        accepted: '5.2',
      });
    }
  }
  return hardware;
}
