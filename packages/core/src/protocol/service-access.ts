import type { Protocol } from './protocol.js';

/**
 * What an engineer's tool needs to be told of the device that it is to work on. It moves no data of the plant.
 * [common practice]
 */
export const serviceAccess: Protocol = {
  id: 'service-access',
  name: 'Service access',
  source: 'common practice: a tool has entered where a device is, and what it is',
  media: ['ethernet', 'serial line', 'token bus', 'radio', 'direct cable'],
  spokenByAll: true,
  transfers: ['requests'],
  carries: () => 'values',
  places: () => 'free',
  tcpPort: null,
  told: {
    calls: [
      { field: 'address', fallback: null, on: ['ethernet'] },
      { field: 'tcpPort', fallback: null, optional: true, on: ['ethernet'] },
      { field: 'unit', fallback: null, on: ['serial line'] },
      { field: 'node', fallback: null, on: ['token bus'] },
      { field: 'telemetry', fallback: null, optional: true },
      { field: 'name', fallback: null, optional: true },
      { field: 'slot', fallback: null, optional: true },
      { field: 'type', fallback: null, optional: true },
    ],
    listens: [],
  },
  limit: null,
};
