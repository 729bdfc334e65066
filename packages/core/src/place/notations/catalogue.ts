import { byteOffset } from './byte-offset.js';
import { iecBytes, iecElements } from './iec.js';
import { nameAndElement } from './name-and-element.js';
import type { Notation } from './notation.js';
import { prefixAndNumber } from './prefix-and-number.js';
import { protocolAddress } from './protocol-address.js';
import { reference5, reference6 } from './reference.js';
import { tableAndNumber } from './table-and-number.js';
import type { NotationId } from '../../model/words.js';

export const NOTATION: Record<NotationId, Notation> = {
  'iec bytes': iecBytes,
  'iec elements': iecElements,
  'reference 5': reference5,
  'reference 6': reference6,
  'table and number': tableAndNumber,
  'protocol address': protocolAddress,
  'prefix and number': prefixAndNumber,
  'byte offset': byteOffset,
  'name and element': nameAndElement,
};
