import {
  PROJECT_ID,
  type Area,
  type Claim,
  type End,
  type Entity,
  type Exchange,
  type Kind,
  type Lane,
  type Network,
  type Port,
  type Profile,
  type Station,
} from '@dialoga/core/model';
import { generateHardware } from './generate-hardware.js';

/** A sequence of numbers that is the same at every run. */
function numbers(seed: number): (below: number) => number {
  let state = seed;
  return (below) => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return Math.floor((state / 2 ** 32) * below);
  };
}

const TYPES = [
  ['INT', 16],
  ['REAL', 32],
  ['WORD', 16],
  ['DINT', 32],
  ['UINT', 16],
  ['LREAL', 64],
] as const;

export interface Size {
  stations: number;
  lanes: number;
  itemsPerLane: number;
  /** 10, unless said otherwise */
  lanesPerExchange?: number;
}

/**
 * A project of the size to design for: 200 stations, 5,000 lanes, 100,000 items. Types, orders and swaps vary, areas are
 * shared by many lanes, and one lane in a hundred is at fault.
 */
export function generate({
  stations,
  lanes,
  itemsPerLane,
  lanesPerExchange = 10,
}: Size): Partial<Record<Kind, Entity[]>> {
  const pick = numbers(20261125);
  const profile = (id: string, low: boolean): Profile => ({
    id,
    order: 1,
    name: `Profile ${id}`,
    layout: { byteOrder: 'high first', registerOrder: low ? 'low first' : 'high first' },
    views: {
      w: {
        order: 1,
        name: 'words',
        areaKind: 'memory',
        notation: 'prefix and number',
        prefix: 'w',
        unit: 16,
        first: 0,
      },
      m: { order: 2, name: 'elements', areaKind: 'memory', notation: 'iec elements', prefix: 'M', unit: 16, first: 0 },
    },
    limits: {},
    nameRule: { caseMatters: false, source: 'assumed for the example' },
    words: {},
  });
  const networks: Network[] = Array.from({ length: Math.ceil(stations / 4) }, (_, i) => ({
    id: `n${i}`,
    order: i,
    name: `Network ${i}`,
    kind: 'ethernet',
  }));
  const all: Station[] = [];
  const ports: Port[] = [];
  const areas: Area[] = [];
  const address = (s: number) => `10.${Math.floor(s / 4)}.0.${(s % 4) + 10}`;
  for (let s = 0; s < stations; s++) {
    all.push({
      id: `s${s}`,
      order: s,
      name: `Station ${s}`,
      roles: ['controller'],
      profile: s % 2 ? 'low' : 'high',
      party: 'own',
    });
    ports.push({
      id: `p${s}`,
      order: 1,
      name: 'Ethernet',
      station: `s${s}`,
      network: `n${Math.floor(s / 4)}`,
      enabled: true,
      purpose: 'general',
      address: address(s),
      mask: '255.255.255.0',
      gateway: '',
      former: [],
      listens: {},
      unit: null,
    });
    areas.push({
      id: `a${s}`,
      order: 1,
      name: 'Memory',
      station: `s${s}`,
      kind: 'memory',
      wordBits: 16,
      words: 60_000,
      writers: ['program'],
      views: {},
      reservations: {},
    });
  }
  const exchanges: Exchange[] = [];
  const ends: End[] = [];
  const laneList: Lane[] = [];
  const claims: Claim[] = [];
  const next = new Array<number>(stations).fill(0);
  for (let e = 0; e < lanes / lanesPerExchange; e++) {
    const group = Math.floor(pick(stations) / 4) * 4;
    const left = group + pick(4);
    const right = group + ((left - group + 1 + pick(3)) % 4);
    const endIds = [`e${e}l`, `e${e}r`] as const;
    exchanges.push({
      id: `x${e}`,
      order: e,
      name: `Exchange ${e}`,
      kind: 'peer connection',
      protocol: 'modbus-tcp',
      transfer: 'requests',
      cadence: 100,
    });
    const end = (id: string, station: number, calling: End['calling'], told: End['told']): End => ({
      id,
      order: calling === 'calls' ? 1 : 2,
      exchange: `x${e}`,
      station: `s${station}`,
      port: `p${station}`,
      calling,
      swap: 'none',
      told,
    });
    ends.push(
      end(endIds[0], left, 'calls', { [endIds[1]]: { address: address(right), tcpPort: '', unit: '' } }),
      end(endIds[1], right, 'listens', {}),
    );
    for (let l = 0; l < lanesPerExchange; l++) {
      const id = `l${e * lanesPerExchange + l}`;
      const mixed = left % 2 === right % 2;
      const keys: Lane['items'] = {};
      const items = [{} as Claim['items'], {} as Claim['items']] as const;
      let bits = 0;
      for (let i = 0; i < itemsPerLane; i++) {
        const [base, width] = mixed ? TYPES[pick(TYPES.length)]! : (['REAL', 32] as const);
        const key = `k${i}`;
        keys[key] = { order: i };
        for (const side of [0, 1] as const) {
          items[side][key] = { name: `${side ? 'Rx' : 'Tx'}_${id}_${i}`, type: { base, count: 1 }, offset: { bits } };
        }
        bits += width;
      }
      laneList.push({ id, order: l, exchange: `x${e}`, items: keys });
      const words = bits / 16;
      const at = [next[left]!, next[right]!] as const;
      next[left]! += words;
      next[right]! += words;
      const faulty = pick(100) === 0;
      [left, right].forEach((station, side) => {
        claims.push({
          id: `${id}${side ? 'r' : 'l'}`,
          lane: id,
          end: endIds[side]!,
          name: `Block ${id}`,
          direction: side ? 'reads' : 'writes',
          place: { area: `a${station}`, view: 'w', number: at[side]! },
          length: { count: words + (faulty && side ? 1 : 0), unit: 16 },
          type: null,
          swap: !mixed && side === 0 ? 'words' : null,
          items: items[side]!,
          toldPlace: side === 0 ? `w${at[1]}` : null,
        });
      });
    }
  }
  const hardware = generateHardware(stations);
  return {
    project: [{ id: PROJECT_ID, name: 'Generated' }],
    profile: [profile('high', false), profile('low', true)],
    station: all,
    network: [...networks, ...hardware.network],
    port: [...ports, ...hardware.port],
    rack: hardware.rack,
    module: hardware.module,
    landing: hardware.landing,
    area: areas,
    exchange: exchanges,
    end: ends,
    lane: laneList,
    claim: claims,
  };
}
