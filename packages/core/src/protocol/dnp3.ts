import type { Protocol } from './protocol.js';

/**
 * Telemetry: points with values, asked for by a master or reported by the unit itself. Each side has an address.
 * [published: IEEE 1815, data link addresses] [published: IANA Service Name and Transport Protocol Port Number Registry:
 * 20000] [from memory]
 */
export const dnp3: Protocol = {
  id: 'dnp3',
  name: 'DNP3',
  source: 'IEEE 1815',
  media: ['ethernet', 'serial line', 'radio'],
  transfers: ['requests'],
  carries: () => 'values',
  places: () => 'free',
  tcpPort: 20000,
  told: {
    calls: [
      { field: 'address', fallback: null, on: ['ethernet'] },
      { field: 'tcpPort', fallback: '20000', on: ['ethernet'] },
      { field: 'telemetry', fallback: null },
    ],
    listens: [{ field: 'telemetry', fallback: null, optional: true }],
  },
  // IP 20, TCP 20, and the protocol's own header.
  overhead: 50,
  declares: 'its telemetry address, and its points by kind and number',
  limit: null,
};
