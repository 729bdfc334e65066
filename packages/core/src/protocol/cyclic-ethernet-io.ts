import type { Protocol } from './protocol.js';

/**
 * Images of inputs and outputs, sent both ways in a fixed rhythm. The controller finds a device by its name.
 * [published: IEC 61158-6-10; 1,440 bytes of one image each way] [from memory]
 */
export const cyclicEthernetIo: Protocol = {
  id: 'cyclic-ethernet-io',
  name: 'Cyclic Ethernet I/O',
  source: 'IEC 61158-6-10',
  media: ['ethernet'],
  transfers: ['cyclic blocks'],
  carries: () => 'bytes',
  places: () => 'free',
  tcpPort: null,
  told: {
    calls: [
      { field: 'name', fallback: null },
      { field: 'address', fallback: null, optional: true },
      { field: 'type', fallback: null, optional: true },
    ],
    listens: [],
  },
  limit: { reads: 1440 * 8, writes: 1440 * 8 },
};
