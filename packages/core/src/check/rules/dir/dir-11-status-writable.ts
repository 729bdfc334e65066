import { sharedSpan } from '../../../lane/occupancy.js';
import { sidesOf } from '../../../lane/sides-of.js';
import { userOf } from '../../../lane/use-words.js';
import { useOf } from '../../../lane/uses.js';
import { openOf } from '../../../place/open-of.js';
import type { Context, Report, Rule } from '../../rule.js';
import type { Exchange } from '../../../model/exchange.js';
import type { Side } from '../../../lane/side.js';

export const statusWritable: Rule = {
  meta: {
    code: 'DIR 11',
    title: 'Only its source writes the value by which an end sees that the other is there',
    source: 'common practice: a status that others can set shows nothing',
    yieldsTo: ['DIR 1', 'POS 9'],
    messages: {
      open: {
        severity: 'doubt',
        headline: '{exchange}: {status} of {a} shows that the exchange is alive, and is open to others for setting',
        says: ['{status}: [[may set]]'],
        consequence: 'Whoever sets it makes a dead exchange look alive.',
        remedy: 'Open it for reading only.',
      },
      written: {
        severity: 'doubt',
        headline: '{exchange}: {status} at {a} shows that the exchange is alive, and {other} puts data there, too',
        says: ['{status}: [[also written by {other}]]'],
        consequence: 'What {other} writes makes a dead exchange look alive.',
        remedy: 'Move one of the two.',
      },
    },
  },
  on: {
    *exchange(exchange, context) {
      const lane = context.reader.get('lane', exchange.watchedBy?.split(' ')[0] ?? '');
      if (lane?.exchange !== exchange.id) return;
      for (const side of sidesOf(context.reader, lane, exchange)) {
        if (openOf(context.reader, side.claim) === 'may set' && side.claim.direction === 'writes')
          yield report(exchange, side, 'open', '');
        const own = useOf(side);
        if (!own?.puts || side.claim.direction !== 'reads') continue;
        yield* writers(context, exchange, side, own);
      }
    },
  },
};

function* writers(context: Context, exchange: Exchange, side: Side, own: NonNullable<ReturnType<typeof useOf>>) {
  for (const use of context.occupancy.inArea(own.area)) {
    // Modules over one another are HWS 9’s; what follows from a module lies where it does.
    if (!use.puts || use.of === 'landing' || use.id === own.id || !sharedSpan(use, own)) continue;
    const user = userOf(context.reader, use);
    if (user) yield report(exchange, side, 'written', `${user.group}, ${user.name}`);
  }
}

const report = (exchange: Exchange, side: Side, message: string, other: string): Report => ({
  message,
  label: 'status',
  about: { kind: 'exchange', id: exchange.id, name: exchange.name },
  lane: side.claim.lane,
  parties: [{ station: side.station.id, end: side.end.id }],
  cells: [{ kind: 'claim', id: side.claim.id, path: [message === 'open' ? 'open' : 'place'] }],
  params: { exchange: exchange.name, a: side.station.name, status: side.claim.name || 'the status', other },
  subjects: [side.claim.id, other],
});
