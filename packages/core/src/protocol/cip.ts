import type { Protocol } from './protocol.js';

/**
 * Cyclic connections between instances, and requests for variables by name.
 * [published: The CIP Networks Library, Volumes 1 and 2 (ODVA)] [published: IANA Service Name and Transport Protocol Port
 * Number Registry: 44818] [from memory]
 */
export const cip: Protocol = {
  id: 'cip',
  name: 'Common Industrial Protocol',
  source: 'The CIP Networks Library, Volumes 1 and 2 (ODVA)',
  media: ['ethernet'],
  transfers: ['cyclic blocks', 'requests'],
  carries: (transfer) => (transfer === 'requests' ? 'values' : 'bytes'),
  places: () => 'free',
  tcpPort: 44818,
  told: {
    calls: [
      { field: 'address', fallback: null },
      { field: 'tcpPort', fallback: '44818' },
      { field: 'slot', fallback: null, optional: true },
      { field: 'type', fallback: null, optional: true },
      { field: 'input', fallback: null, optional: true },
      { field: 'output', fallback: null, optional: true },
      { field: 'configuration', fallback: null, optional: true },
    ],
    listens: [],
  },
  references: { fields: ['input', 'output', 'configuration'], pairing: 'equal' },
  // IP 20, UDP 8, item list 18, sequence count 2.
  overhead: 48,
  declares: 'input, output and configuration instances with their sizes, or variables that are open to others',
  limit: null,
};
