import { Project, type Claim, type Entity } from '@dialoga/core/model';

interface Size {
  /** stations that one caller sets words at, each in an exchange of its own */
  partners: number;
  /** of each exchange */
  lanes: number;
  /** ms */
  cadence: number;
}

/** A caller and its partners by Modbus TCP, with so many lanes of ten words to each. */
export function tenWords({ partners, lanes, cadence }: Size): Project {
  const area = (id: string, station: string, words: number): Entity => ({
    id,
    order: 10,
    name: 'Memory',
    station,
    kind: 'memory',
    wordBits: 16,
    words,
    writers: ['program'],
    reservations: {},
    views: { v: { order: 10, name: 'words', notation: 'prefix and number', prefix: 'w', unit: 16, first: 0 } },
  });
  const station = (id: string): Entity =>
    ({ id, order: 10, name: id, roles: ['controller'], profile: null, party: 'own' }) as Entity;
  const port = (of: string, last: number): Entity =>
    ({
      id: `port-${of}`,
      order: 10,
      name: 'Ethernet',
      station: of,
      network: 'net',
      enabled: true,
      purpose: 'general',
      address: `10.0.0.${last}`,
      mask: '255.255.255.0',
      gateway: '',
      former: [],
      listens: {},
      unit: null,
    }) as Entity;
  const claim = (lane: string, end: string, place: Claim['place'], rest: Partial<Claim>): Entity =>
    ({
      id: `${lane}-${end}`,
      lane,
      end,
      name: `Block ${lane}`,
      direction: 'writes',
      place,
      length: { count: 10, unit: 16 },
      type: { base: 'WORD', count: 10 },
      swap: null,
      items: {},
      toldPlace: null,
      ...rest,
    }) as Entity;
  const all = Array.from({ length: partners }, (_, k) => k);
  const each = Array.from({ length: lanes }, (_, n) => n);
  const end = (k: number, of: string, calling: string): Entity =>
    ({
      id: `end${k}-${of}`,
      order: 10,
      exchange: `x${k}`,
      station: of,
      port: `port-${of}`,
      calling,
      swap: 'none',
      told: calling === 'calls' ? { [`end${k}-b${k}`]: { address: `10.0.0.${k + 2}`, tcpPort: '', unit: '' } } : {},
    }) as Entity;
  return Project.of({
    project: [{ id: 'project', name: 'Ten words' }],
    station: [station('a'), ...all.map((k) => station(`b${k}`))],
    network: [{ id: 'net', order: 10, name: 'Net', kind: 'ethernet' }],
    port: [port('a', 1), ...all.map((k) => port(`b${k}`, k + 2))],
    area: [area('ma', 'a', 10 * lanes * partners), ...all.map((k) => area(`mb${k}`, `b${k}`, 10 * lanes))],
    exchange: all.map((k) => ({
      id: `x${k}`,
      order: k,
      name: `Exchange ${k}`,
      kind: 'peer connection',
      protocol: 'modbus-tcp',
      transfer: 'requests',
      cadence,
    })),
    end: all.flatMap((k) => [end(k, 'a', 'calls'), end(k, `b${k}`, 'listens')]),
    lane: all.flatMap((k) => each.map((n) => ({ id: `l${k}-${n}`, order: n, exchange: `x${k}`, items: {} }))),
    claim: all.flatMap((k) =>
      each.flatMap((n) => {
        const own = { area: 'ma', view: 'v', number: 10 * (k * lanes + n) };
        const theirs = { area: `mb${k}`, view: 'v', number: 10 * n };
        return [
          claim(`l${k}-${n}`, `end${k}-a`, own, { toldPlace: `w${10 * n}` }),
          claim(`l${k}-${n}`, `end${k}-b${k}`, theirs, { direction: 'reads' }),
        ];
      }),
    ),
  } as never);
}
