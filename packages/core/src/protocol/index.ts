/** What each protocol carries, how it names places, and what an end is told about the other. */
export { protocolAt, protocolOf } from './catalogue.js';
export { crc16, rtuFrame, tcpFrame } from './modbus-frame.js';
