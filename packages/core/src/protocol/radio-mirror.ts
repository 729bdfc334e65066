import type { Protocol } from './protocol.js';

/**
 * Inputs and outputs of radio units, kept as they are in registers of their base; paired by the rotary switches of their modules.
 * [common practice]
 */
export const radioMirror: Protocol = {
  id: 'radio-mirror',
  name: 'Radio-mirrored I/O',
  source: 'common practice: a base keeps what its units see, at a place that follows from a rotary switch',
  media: ['radio'],
  transfers: ['cyclic blocks'],
  carries: () => 'bits',
  places: () => 'free',
  tcpPort: null,
  told: {
    calls: [],
    listens: [],
  },
  declares: 'its network number, and the rotary switches of its modules',
  limit: null,
};
