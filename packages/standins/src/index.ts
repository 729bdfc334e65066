/** The plant on real sockets, so that software which nobody here wrote can talk to it. Loopback only. */
export { loopbackAddress } from './loopback.js';
export { type Standing, StandIns } from './stand-ins.js';
