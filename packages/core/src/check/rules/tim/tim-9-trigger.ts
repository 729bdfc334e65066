import { set } from '../../../change/make.js';
import { laneName } from '../../../lane/compare.js';
import { readable } from '../../../model/as-typed.js';
import type { Claim } from '../../../model/claim.js';
import type { Exchange } from '../../../model/exchange.js';
import { childrenOf } from '../../../model/order.js';
import type { Reader } from '../../../model/project.js';
import { fewOf } from '../../few-of.js';
import type { Rule } from '../../rule.js';

export const triggerLeavesGap: Rule = {
  meta: {
    code: 'TIM 9',
    title: 'What goes on change or on demand is there again after a return, and its age is known',
    source: 'common practice: what is sent on change only is not sent again when the link or the other end comes back',
    messages: {
      onChange: {
        severity: 'doubt',
        headline: '{exchange}: {a} writes {lanes} on change only; after a return or a restart {b} has the old state',
        says: ['{lanes}: written [[on change]]', 'keeps what it got last'],
        consequence: 'The ends hold different values until the value changes again.',
        remedy: 'Send it cyclically, or say in the settings of the exchange what is not sent again.',
      },
      onDemand: {
        severity: 'doubt',
        headline: '{exchange}: {a} moves {lanes} on demand; how old that is, is not known',
        says: ['{lanes}: [[on demand]]', 'is asked, or gets it, when {a} calls'],
        consequence: 'Nobody can say how old the value is that is decided by.',
        remedy: 'State the rhythm of its calls as the interval of the exchange.',
      },
    },
  },
  on: {
    *exchange(exchange, { reader }) {
      for (const [key, claims] of groupsOf(reader, exchange)) {
        const [message = '', endId = ''] = key.split(' ');
        const end = reader.get('end', endId)!;
        const other = childrenOf(reader, 'end', exchange.id).find((e) => e.id !== endId);
        if (!other) continue;
        const lanes = claims.map((claim) => laneName(reader, reader.get('lane', claim.lane)!));
        yield {
          message,
          label: message === 'onChange' ? 'on change' : 'on demand',
          about: { kind: 'exchange', id: exchange.id, name: exchange.name },
          ...(claims.length === 1 ? { lane: claims[0]!.lane } : {}),
          parties: [end, other].map(({ id, station }) => ({ station, end: id })),
          cells: claims.map(({ id }) => ({ kind: 'claim', id, path: ['trigger'] })),
          params: {
            exchange: exchange.name,
            a: reader.get('station', end.station)?.name ?? '',
            b: reader.get('station', other.station)?.name ?? '',
            lanes: fewOf(lanes),
          },
          subjects: [endId],
        };
      }
    },
  },
  fixes(finding, reader) {
    if (finding.message !== 'onChange') return [];
    const claims = finding.cells.flatMap((cell) => reader.get('claim', cell.id) ?? []);
    const label = claims.length === 1 ? 'send it cyclically' : `send all ${claims.length} cyclically`;
    return [{ label, changes: claims.map((claim) => set('claim', claim, ['trigger'], 'cyclic')) }];
  },
};

/** Claims of one cause: by the message that they come to, and the end that says so. */
function groupsOf(reader: Reader, exchange: Exchange): Map<string, Claim[]> {
  const groups = new Map<string, Claim[]>();
  for (const lane of childrenOf(reader, 'lane', exchange.id)) {
    for (const claim of childrenOf(reader, 'claim', lane.id)) {
      const message = messageOf(reader, exchange, claim);
      const end = message && reader.get('end', claim.end);
      if (end) groups.set(`${message} ${end.id}`, [...(groups.get(`${message} ${end.id}`) ?? []), claim]);
    }
  }
  return groups;
}

function messageOf(reader: Reader, exchange: Exchange, claim: Claim): 'onChange' | 'onDemand' | null {
  if (claim.trigger === 'on demand') return exchange.cadence === null ? 'onDemand' : null;
  if (claim.trigger !== 'on change' || exchange.onLoss?.notRepeated) return null;
  if (readable(claim.direction) === 'reads') return null;
  return isEntered(reader, claim) ? null : 'onChange';
}

/** Whether a person enters it, at a panel or a station that people work at: an entry is not to be made a second time. */
function isEntered(reader: Reader, claim: Claim): boolean {
  const end = reader.get('end', claim.end);
  const roles = (end && reader.get('station', end.station)?.roles) ?? [];
  return roles.includes('operator panel') || roles.includes('SCADA station');
}
