import type { Kind } from '../model/kinds.js';
import type { Module } from '../model/module.js';
import { childrenOf, inOrder } from '../model/order.js';
import type { Port } from '../model/port.js';
import type { Project } from '../model/project.js';
import type { Station } from '../model/station.js';
import { FACTS, plainFact, type Fact } from './facts.js';

/** Where a fact of the plan stands. */
export interface FactCell {
  kind: Kind;
  id: string;
  path: readonly string[];
}

/** A station of the plan as it would be found through one of its ports. */
export interface PlannedDevice {
  station: Station;
  port: Port | null;
  facts: Readonly<Record<Fact, string>>;
  /** where each fact would be changed; null: it follows from something else */
  cells: Readonly<Record<Fact, FactCell | null>>;
}

/** Every station through each of its enabled ports; one without a port once. */
export function plannedDevices(project: Project): PlannedDevice[] {
  return inOrder(project, 'station').flatMap((station) => {
    const ports = childrenOf(project, 'port', station.id).filter(({ enabled }) => enabled);
    return ports.length === 0
      ? [plannedAt(project, station, null)]
      : ports.map((port) => plannedAt(project, station, port));
  });
}

function plannedAt(project: Project, station: Station, port: Port | null): PlannedDevice {
  const racks = childrenOf(project, 'rack', station.id);
  const module = headOf(racks.flatMap(({ id }) => childrenOf(project, 'module', id)));
  const profile = station.profile ? project.get('profile', station.profile) : undefined;
  const own = (station.orderCode ?? '') !== '' || !module;
  const atPort = (field: string): FactCell | null => (port ? { kind: 'port', id: port.id, path: [field] } : null);
  const atStation = (field: string): FactCell => ({ kind: 'station', id: station.id, path: [field] });
  const facts: Record<Fact, string> = {
    hardware: port?.hardware ?? '',
    deviceName: port?.deviceName ?? '',
    address: port?.address ?? '',
    unit: port?.unit === null || port?.unit === undefined ? '' : String(port.unit),
    node: port?.node ?? '',
    telemetry: port?.telemetry ?? '',
    type: station.typeText || (profile?.name ?? ''),
    orderCode: own ? (station.orderCode ?? '') : module.orderCode,
    revision: station.revision ?? '',
    slots: racks.length === 1 ? String(racks[0]!.size) : '',
  };
  return {
    station,
    port,
    facts,
    cells: {
      hardware: atPort('hardware'),
      deviceName: atPort('deviceName'),
      address: atPort('address'),
      unit: atPort('unit'),
      node: atPort('node'),
      telemetry: atPort('telemetry'),
      type: atStation('typeText'),
      orderCode: own ? atStation('orderCode') : { kind: 'module', id: module.id, path: ['orderCode'] },
      revision: atStation('revision'),
      slots: racks.length === 1 ? { kind: 'rack', id: racks[0]!.id, path: ['size'] } : null,
    },
  };
}

/** The module that answers for a whole rack. */
const headOf = (modules: readonly Module[]): Module | undefined =>
  modules.find(({ kind }) => kind === 'CPU') ?? modules.find(({ kind }) => kind === 'head');

/** Planned devices by what they are found by. */
export class PlannedIndex {
  private readonly by = new Map<string, PlannedDevice[]>();

  constructor(readonly all: readonly PlannedDevice[]) {
    for (const device of all) {
      for (const fact of FACTS) {
        const plain = plainFact(fact, device.facts[fact]);
        if (plain === '') continue;
        const key = `${fact} ${plain}`;
        const known = this.by.get(key);
        if (known) known.push(device);
        else this.by.set(key, [device]);
      }
      // A station is called by its own name where it has no device name.
      const name = `deviceName ${plainFact('deviceName', device.station.name)}`;
      if (device.facts.deviceName === '' && !this.by.get(name)?.includes(device))
        this.by.set(name, [...(this.by.get(name) ?? []), device]);
    }
  }

  with(fact: Fact, text: string): readonly PlannedDevice[] {
    const plain = plainFact(fact, text);
    return plain === '' ? [] : (this.by.get(`${fact} ${plain}`) ?? []);
  }
}
