import { lengthBits } from '../../../place/length.js';
import { isTyped } from '../../../model/as-typed.js';
import type { Claim } from '../../../model/claim.js';
import { childrenOf } from '../../../model/order.js';
import { counted } from '../../few-of.js';
import type { Rule } from '../../rule.js';
import { limitMessage, overLimit } from './limit-report.js';

export const bytes: Rule = {
  meta: {
    code: 'CAP 2',
    title: 'No more bytes than the type exchanges',
    source: 'the limit of the profile, with its source',
    messages: { over: limitMessage('blocker') },
  },
  on: {
    *station(station, { reader }) {
      let bits = 0;
      for (const end of childrenOf(reader, 'end', station.id)) {
        for (const claim of childrenOf(reader, 'claim', end.id)) bits += bitsOf(claim);
      }
      yield* overLimit(reader, station, 'bytes', Math.ceil(bits / 8), counted('byte'));
    },
  },
};

const bitsOf = ({ length }: Claim): number => (length && !isTyped(length) ? lengthBits(length) : 0);
