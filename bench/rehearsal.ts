import { Project, type Claim, type Entity, type Kind } from '@dialoga/core/model';
import { Plant, walkAll } from '@dialoga/core/rehearse';
import { timed, type Row } from './row.js';

/** Transfers of ten words that one thread is to make in a second of virtual time’s work. */
const LEAST_A_SECOND = 200_000;
const MOST_WALK_MS = 60_000;

/** The walk of the largest project, and the plant in virtual time. */
export function rehearsalRows(entities: Partial<Record<Kind, Entity[]>>): Row[] {
  const project = Project.of(entities);
  let words = '';
  const walk = timed(() => {
    const { walks, values, bits, passed } = walkAll(project, {}, { by: '', at: '', revision: 0 });
    words = `${walks.length} lanes, ${values.toLocaleString('en')} values, ${bits.toLocaleString('en')} bits, ${passed} come through`;
  });
  const plant = new Plant(tenWords(50));
  // The first pass makes the machine warm.
  plant.advance(10_000);
  const before = plant.transfers;
  const ran = timed(() => plant.advance(10_000_000));
  const aSecond = ((plant.transfers - before) / ran) * 1000;
  return [
    {
      work: `walk of all lanes: ${words}`,
      figure: `${(walk / 1000).toFixed(1)} s`,
      aim: `under ${MOST_WALK_MS / 1000} s`,
      met: walk < MOST_WALK_MS,
    },
    {
      work: 'virtual time: transfers of 10 words a second, in one thread',
      figure: `${Math.round(aSecond).toLocaleString('en')}`,
      aim: `at least ${LEAST_A_SECOND.toLocaleString('en')}`,
      met: aSecond >= LEAST_A_SECOND,
    },
  ];
}

/** Two stations with so many lanes of ten words each, one transfer a millisecond. */
function tenWords(lanes: number): Project {
  const area = (id: string, station: string): Entity => ({
    id,
    order: 10,
    name: 'Memory',
    station,
    kind: 'memory',
    wordBits: 16,
    words: 10 * lanes,
    writers: ['program'],
    reservations: {},
    views: { v: { order: 10, name: 'words', notation: 'prefix and number', prefix: 'w', unit: 16, first: 0 } },
  });
  const station = (id: string): Entity =>
    ({ id, order: 10, name: id, roles: ['controller'], profile: null, party: 'own' }) as Entity;
  const port = (id: string, of: string, last: number): Entity =>
    ({
      id,
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
  const claim = (n: number, end: string, at: string, rest: Partial<Claim>): Entity =>
    ({
      id: `${end}${n}`,
      lane: `l${n}`,
      end,
      name: `Block ${n}`,
      direction: 'writes',
      place: { area: at, view: 'v', number: 10 * n },
      length: { count: 10, unit: 16 },
      type: { base: 'WORD', count: 10 },
      swap: null,
      items: {},
      toldPlace: null,
      ...rest,
    }) as Entity;
  const told = { eb: { address: '10.0.0.2', tcpPort: '', unit: '' } };
  const end = (id: string, of: string, p: string, calling: string): Entity =>
    ({
      id,
      order: 10,
      exchange: 'x',
      station: of,
      port: p,
      calling,
      swap: 'none',
      told: id === 'ea' ? told : {},
    }) as Entity;
  const numbers = Array.from({ length: lanes }, (_, n) => n);
  return Project.of({
    project: [{ id: 'project', name: 'Ten words' }],
    station: [station('a'), station('b')],
    network: [{ id: 'net', order: 10, name: 'Net', kind: 'ethernet' }],
    port: [port('pa', 'a', 1), port('pb', 'b', 2)],
    area: [area('ma', 'a'), area('mb', 'b')],
    exchange: [
      {
        id: 'x',
        order: 10,
        name: 'Exchange',
        kind: 'peer connection',
        protocol: 'modbus-tcp',
        transfer: 'requests',
        cadence: 1,
      },
    ],
    end: [end('ea', 'a', 'pa', 'calls'), end('eb', 'b', 'pb', 'listens')],
    lane: numbers.map((n) => ({ id: `l${n}`, order: n, exchange: 'x', items: {} })),
    claim: numbers.flatMap((n) => [
      claim(n, 'ea', 'ma', { toldPlace: `w${10 * n}` }),
      claim(n, 'eb', 'mb', { direction: 'reads' }),
    ]),
  });
}
