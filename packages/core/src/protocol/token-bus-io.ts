import type { Protocol } from './protocol.js';

/**
 * Images of inputs and outputs on a token bus: the caller asks each node in turn.
 * [published: IEC 61158 type 3: up to 244 bytes each way in one exchange] [from memory]
 */
export const tokenBusIo: Protocol = {
  id: 'token-bus-io',
  name: 'Token-bus cyclic I/O',
  source: 'IEC 61158 type 3',
  media: ['token bus'],
  transfers: ['cyclic blocks'],
  carries: () => 'bytes',
  places: () => 'free',
  tcpPort: null,
  told: {
    calls: [
      { field: 'node', fallback: null },
      { field: 'type', fallback: null, optional: true },
    ],
    listens: [],
  },
  declares: 'its node address, its modules, and the bytes of each',
  limit: { reads: 244 * 8, writes: 244 * 8 },
};
