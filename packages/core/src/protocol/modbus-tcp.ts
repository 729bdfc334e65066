import type { Protocol } from './protocol.js';

/**
 * Requests over TCP: the calling end names a register of the answering end; words arrive as the same numbers.
 * [published: MODBUS Application Protocol Specification V1.1b3, 6.3 and 6.12: 125 registers read, 123 written]
 * [published: MODBUS Messaging on TCP/IP Implementation Guide V1.0b: port 502; unit 255 for a device that stands
 * alone] [from memory]
 */
export const modbusTcp: Protocol = {
  id: 'modbus-tcp',
  name: 'Modbus TCP',
  source: 'MODBUS Application Protocol Specification V1.1b3',
  media: ['ethernet'],
  transfers: ['requests'],
  carries: () => 'words',
  places: () => 'named',
  tcpPort: 502,
  told: {
    calls: [
      { field: 'address', fallback: null },
      { field: 'tcpPort', fallback: '502' },
      { field: 'unit', fallback: '255' },
    ],
    listens: [],
  },
  // IP 20, TCP 20, and the protocol's own header.
  overhead: 47,
  declares: 'the tables that it has, and how far each reaches',
  limit: { reads: 125 * 16, writes: 123 * 16 },
};
