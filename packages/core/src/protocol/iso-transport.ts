import type { Protocol } from './protocol.js';

/**
 * A transport connection over TCP: blocks of bytes between two selectors.
 * [published: RFC 1006: ISO transport services on top of TCP, port 102] [from memory]
 */
export const isoTransport: Protocol = {
  id: 'iso-transport',
  name: 'Transport connection',
  source: 'RFC 1006, ISO/IEC 8073',
  media: ['ethernet'],
  transfers: ['cyclic blocks', 'requests'],
  carries: () => 'bytes',
  places: () => 'free',
  tcpPort: 102,
  told: {
    calls: [
      { field: 'address', fallback: null },
      { field: 'tcpPort', fallback: '102' },
      { field: 'slot', fallback: null, optional: true },
      { field: 'connection', fallback: null, optional: true },
    ],
    listens: [
      { field: 'address', fallback: null, optional: true },
      { field: 'connection', fallback: null, optional: true },
    ],
  },
  references: { fields: ['connection'], pairing: 'crossed' },
  // IP 20, TCP 20, packet header 4, data header 3.
  overhead: 47,
  declares: 'its selector, and the block that it takes',
  limit: null,
};
