/** The plant on real sockets, so that software which nobody here wrote can talk to it. Loopback only. */
export { standInsOf, type Standing, type StandIns } from './stand-ins.js';
