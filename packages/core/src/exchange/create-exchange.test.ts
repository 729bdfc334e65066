import { newPort } from '../create/new-entities.js';
import type { ExchangeKind } from '../model/words.js';
import { added, edited, twoStations } from '../testing/two-stations.testing.js';
import { createExchange } from './create-exchange.js';

test('a new exchange takes the port on the common network that is meant for its kind', () => {
  const project = added(
    edited(twoStations(), ['port', 'portb', 'purpose', 'programming']),
    'port',
    { ...newPort('io', 20, 'sb', 'net'), name: 'I/O', purpose: 'I/O', address: '10.0.0.9' },
    { ...newPort('loose', 5, 'sb', null), name: 'first, and on no network' },
  );
  const portOf = (kind: ExchangeKind): string | undefined => {
    let n = 0;
    const wish = { name: 'New', kind, protocol: 'modbus-tcp', stations: ['sa', 'sb'] as const };
    const { changes } = createExchange(project, wish, () => `n${n++}`);
    const ends = changes.filter((change) => change.kind === 'end');
    return (ends[1]?.after as { port?: string } | undefined)?.port;
  };
  expect(['peer connection', 'service link', 'remote I/O'].map((kind) => portOf(kind as ExchangeKind))).toEqual([
    'io',
    'portb',
    'io',
  ]);
});
