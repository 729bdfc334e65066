import type { Landing } from '../../model/landing.js';
import type { Module } from '../../model/module.js';
import { lanesFromLandings } from '../../exchange/remote-io.js';
import { told, type Plant } from './plant.testing.js';
import { DECIDED } from './shared-variables.testing.js';

const MODULES = [
  { kind: 'digital input', orderCode: 'DI-16', inputs: 2, outputs: 0 },
  { kind: 'digital output', orderCode: 'DO-16', inputs: 0, outputs: 2 },
  { kind: 'analogue input', orderCode: 'AI-4', inputs: 8, outputs: 0 },
  { kind: 'analogue output', orderCode: 'AO-4', inputs: 0, outputs: 8 },
] as const;

/** A rack of modules under a head of its own, which a controller finds by name and takes into its images. */
export function remoteIo(plant: Plant): void {
  const { dice } = plant;
  const owner = plant.controller({ sort: 'words' });
  const deviceName = plant.id('head');
  const head = plant.station('Head', { roles: ['remote I/O head'], profile: 'profile-head', scan: 2 });
  const port = plant.port(head, plant.lan, { purpose: 'I/O', deviceName });
  const inputs = plant.image(owner.id, 'input image');
  const outputs = plant.image(owner.id, 'output image');
  const rack = { id: plant.id('rack'), order: 10, name: 'Rack', station: head.id, size: 12, first: 0, gaps: false };
  plant.put('rack', { ...rack, zones: {}, takes: [] });
  const plugged = (slot: number, rest: Partial<Module>): Module => {
    const module: Module = {
      id: plant.id('module'),
      order: 10 + slot * 10,
      name: plant.word(),
      rack: rack.id,
      slot,
      kind: 'head',
      orderCode: 'HD-2',
      inputs: 0,
      outputs: 0,
      ...rest,
    };
    const found = {
      orderCode: module.orderCode,
      revision: dice.pick(['2.0', '4.6', '5.2']),
      source: 'read from the rack',
    };
    plant.put('module', { ...module, found });
    return { ...module, found };
  };
  plugged(0, {});
  const next = { inputs: 4, outputs: 4 };
  for (let slot = 1, slots = dice.from(2, 6); slot <= slots; slot++) {
    const of = plugged(slot, dice.pick(MODULES));
    const at = { inputsAt: inputs(next.inputs), outputsAt: outputs(next.outputs) };
    const landing: Landing = {
      id: plant.id('landing'),
      order: slot * 10,
      station: owner.id,
      module: of.id,
      role: 'owner',
      slot,
      inputsAt: of.inputs ? at.inputsAt : null,
      outputsAt: of.outputs ? at.outputsAt : null,
      inputs: of.inputs,
      outputs: of.outputs,
      orderCode: of.orderCode,
      accepted: of.found!.revision,
    };
    next.inputs += of.inputs;
    next.outputs += of.outputs;
    plant.put('landing', landing);
  }
  const exchange = plant.exchange('Remote', 'cyclic-ethernet-io', {
    kind: 'remote I/O',
    transfer: 'cyclic blocks',
    cadence: 16,
    timeout: 80,
    onLoss: { ...DECIDED },
  });
  const listens = plant.end(exchange, head.id, port.id, 'listens');
  plant.end(exchange, owner.id, owner.port, 'calls', { told: { [listens.id]: told({ name: deviceName }) } });
  plant.after((project) => lanesFromLandings(project, exchange, () => plant.id('io')));
  plant.watched(exchange);
}
