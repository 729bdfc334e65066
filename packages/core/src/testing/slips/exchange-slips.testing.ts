import type { Length, Place, TypeRef } from '../../model/claim.js';
import { forgotten, inEach, moved, type SlipKind } from './slip.testing.js';

/** What holds for an exchange or an end as a whole, mistaken. */
export const EXCHANGE_SLIPS: Record<string, SlipKind> = {
  'both call': inEach('end', ({ calling }, project) =>
    calling === 'listens' && project ? ['calling', 'calls'] : null,
  ),
  'both listen': inEach('end', ({ calling }) => (calling === 'calls' ? ['calling', 'listens'] : null)),
  'who calls, nothing': inEach('end', ({ calling }) => (calling ? ['calling', null] : null)),
  'wrong port of two': inEach('end', (end, project) => {
    const own = end.port ? project.get('port', end.port) : undefined;
    const other = [...project.all('port')].find((p) => p.station === end.station && p.network !== own?.network);
    return other ? ['port', other.id] : null;
  }),
  'no port': inEach('end', () => ['port', null]),
  'own reference': inEach('end', ({ references }) =>
    references?.connection ? ['references.connection', moved(references.connection, 30)] : null,
  ),
  'own instance': inEach('end', ({ references }) =>
    references?.input ? ['references.input', moved(references.input, 60)] : null,
  ),
  'elements of another width': inEach('end', ({ elementBits }) => (elementBits === 32 ? ['elementBits', 16] : null)),
  'cadence that the protocol has not': inEach('exchange', ({ protocol }) =>
    protocol === 'cyclic-ethernet-io' ? ['cadence', 10] : null,
  ),
  'cadence shorter than a pass': inEach('exchange', ({ cadence, protocol }) =>
    cadence && cadence >= 100 && protocol !== 'radio-mirror' ? ['cadence', 1] : null,
  ),
  'timeout too late or too short': inEach('exchange', ({ timeout, cadence, transfer }) =>
    timeout && cadence ? ['timeout', transfer === 'cyclic blocks' ? Math.floor(cadence / 2) : 1] : null,
  ),
  'what sinks do on loss': inEach('exchange', ({ onLoss }) => (onLoss?.sinks ? ['onLoss.sinks', undefined] : null)),
  'what is known on loss': inEach('exchange', ({ onLoss }) => (onLoss?.source ? ['onLoss.source', undefined] : null)),
  'what comes back': inEach('exchange', ({ onLoss }) => (onLoss?.back ? ['onLoss.back', undefined] : null)),
  // Modules of remote I/O have a status of their own.
  'nothing watches': inEach('exchange', ({ watchedBy, kind }) =>
    watchedBy && kind !== 'remote I/O' ? ['watchedBy', ''] : null,
  ),
  'no coupler': inEach('exchange', ({ via }) => (via ? ['via', null] : null)),
  'protocol of another network': inEach('exchange', ({ protocol }) =>
    protocol === 'modbus-tcp'
      ? ['protocol', 'modbus-rtu']
      : protocol === 'modbus-rtu'
        ? ['protocol', 'modbus-tcp']
        : null,
  ),
  'start step left out': inEach('exchange', ({ start }) => (start ? ['start', null] : null)),
  'copy to another place': inEach('copy', ({ to }) => ['to', { ...(to as Place), number: (to as Place).number + 4 }]),
  'copy too short': inEach('copy', ({ length }) => {
    const now = length as Length;
    return now.count > 4 ? ['length', { ...now, count: now.count - 4 }] : null;
  }),
  'text of another capacity': inEach('claim', ({ type }) => {
    const now = type as TypeRef | null;
    return now?.capacity ? ['type', { ...now, capacity: now.capacity - 2 }] : null;
  }),
  // Of several that may take a block, each may leave it.
  'one end says nothing': (project) =>
    [...project.all('claim')]
      .filter(({ lane }) => project.referrers('claim', lane).length === 2)
      .map((claim) => forgotten('claim', claim, { kind: 'lane', id: claim.lane })),
};
