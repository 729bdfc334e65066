import type { Protocol } from './protocol.js';

/**
 * Values by name, sent when they change to those that asked for them.
 * [published: IEC 62541-4, Subscription] [published: IANA Service Name and Transport Protocol Port Number Registry: 4840]
 * [from memory]
 */
export const opcUa: Protocol = {
  id: 'opc-ua',
  name: 'OPC UA subscription',
  source: 'IEC 62541',
  media: ['ethernet'],
  transfers: ['requests'],
  carries: () => 'values',
  places: () => 'free',
  tcpPort: 4840,
  told: {
    calls: [
      { field: 'address', fallback: null },
      { field: 'tcpPort', fallback: '4840' },
    ],
    listens: [],
  },
  // IP 20, TCP 20, and the protocol's own header.
  overhead: 72,
  declares: 'the variables that it offers, by name',
  limit: null,
};
