import type { Exchange } from '../model/exchange.js';
import { cyclicEthernetIo } from '../protocol/cyclic-ethernet-io.js';
import { tokenBusIo } from '../protocol/token-bus-io.js';

const IO_PROTOCOLS: readonly string[] = [cyclicEthernetIo.id, tokenBusIo.id];

/** Whether an exchange is its stations' own I/O: what arrives lands in an input image, what is sent comes from an output image. */
export const isOwnIo = (exchange: Exchange): boolean =>
  exchange.kind === 'coupler area' || exchange.kind === 'remote I/O' || IO_PROTOCOLS.includes(exchange.protocol);
