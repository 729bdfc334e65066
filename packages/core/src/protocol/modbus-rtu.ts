import { modbusTcp } from './modbus-tcp.js';
import type { Protocol } from './protocol.js';

/**
 * The same requests on a serial line: one caller, units that answer by their address.
 * [published: MODBUS over Serial Line Specification and Implementation Guide V1.02, 2.2 and 2.5.1] [from memory]
 */
export const modbusRtu: Protocol = {
  id: 'modbus-rtu',
  name: 'Modbus RTU',
  source: 'MODBUS over Serial Line V1.02',
  media: ['serial line'],
  framing: 'RTU',
  transfers: ['requests'],
  carries: () => 'words',
  places: () => 'named',
  tcpPort: null,
  told: {
    calls: [{ field: 'unit', fallback: null }],
    listens: [],
  },
  declares: 'the tables that it has, and how far each reaches',
  limit: modbusTcp.limit,
};
