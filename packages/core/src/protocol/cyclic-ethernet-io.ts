import type { Protocol } from './protocol.js';

/**
 * Images of inputs and outputs, sent both ways in a fixed rhythm. The controller finds a device by its name.
 * [published: IEC 61158-6-10; 1,440 bytes of one image each way; send clock factor 32 (1 ms) and reduction ratios 1, 2, 4 … 512] [from memory]
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
  // A clock of 1 ms, and every power of two of it up to 512.
  cadences: {
    has: (ms) => ms >= 1 && ms <= 512 && Number.isInteger(Math.log2(ms)),
    nearest: (ms) => 2 ** Math.min(9, Math.max(0, Math.round(Math.log2(Math.max(1, ms))))),
    words: '1, 2, 4 … 512 ms',
  },
  // Frame id 2, cycle counter 2, two status bytes, one status byte of the provider and one of the consumer.
  overhead: 8,
  declares: 'its device name, its modules slot by slot, and the bytes of each',
  limit: { reads: 1440 * 8, writes: 1440 * 8 },
};
