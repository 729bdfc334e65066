import { readable } from '../../../model/as-typed.js';
import type { Claim } from '../../../model/claim.js';
import { childrenOf } from '../../../model/order.js';
import { stationName } from '../../port-words.js';
import type { Report, Rule } from '../../rule.js';

export const couplerSides: Rule = {
  meta: {
    code: 'DIR 13',
    title: 'A coupler has one end on each side, and each of its slots is used once in a direction',
    source: 'common practice: the two sides of a coupler are set up apart, each by whoever is on it',
    yieldsAtCell: ['DIR 7 slots'],
    messages: {
      sameSide: {
        severity: 'blocker',
        headline: '{exchange}: {a} and {b} are both on {network}, the same side of {via}',
        says: ['on [[{network}]]', 'on [[{network}]]'],
        consequence: 'The other side of {via} has nobody; nothing is handed over.',
        remedy: 'Choose for one of them the port on the other side.',
      },
      slotTwice: {
        severity: 'blocker',
        headline: '{exchange}: {a} {does} slot {slot} twice: {first} and {second}',
        says: ['{first} and {second}: slot [[{slot}]], {does}'],
        consequence: 'One of the two is never exchanged.',
        remedy: 'Give one of them a slot of its own. The same slot in both directions is allowed.',
      },
      noCoupler: {
        severity: 'doubt',
        headline: '{exchange}: the station that couples is not chosen',
        says: ['coupler: [[not chosen]]'],
        consequence: 'What has to be entered at each end, and whether both reach it, is not known.',
        remedy: 'Choose the coupler in the settings of the exchange.',
      },
      oneSubnet: {
        severity: 'hint',
        headline: '{exchange}: both sides of {via} are in one subnet; it works, and is not needed',
        says: ['on {network}'],
        consequence: 'Both could be reached directly.',
        remedy: 'Keep the coupler only if the two must not know each other; else connect them directly.',
      },
    },
  },
  on: {
    *exchange(exchange, { reader }): Generator<Report> {
      const about = { kind: 'exchange', id: exchange.id, name: exchange.name } as const;
      if (!exchange.via) {
        if (exchange.kind !== 'coupler area') return;
        yield {
          message: 'noCoupler',
          label: 'no coupler',
          about,
          parties: childrenOf(reader, 'end', exchange.id).map((end) => ({ station: end.station, end: end.id })),
          cells: [{ kind: 'exchange', id: exchange.id, path: ['via'] }],
          params: { exchange: exchange.name },
          subjects: [exchange.id],
        };
        return;
      }
      const via = stationName(reader, exchange.via);
      const ends = childrenOf(reader, 'end', exchange.id);
      const sides = ends.map((end) => (end.port ? (reader.get('port', end.port)?.network ?? null) : null));
      const [a, b] = ends;
      const network = sides[0] ? reader.get('network', sides[0]) : undefined;
      if (a && b && network && sides[0] === sides[1]) {
        const own = childrenOf(reader, 'port', exchange.via).filter((p) => p.network === network.id);
        const params = { exchange: exchange.name, via, network: network.name };
        yield {
          message: own.length > 1 ? 'oneSubnet' : 'sameSide',
          label: own.length > 1 ? 'one subnet' : 'one side',
          about,
          parties: [
            { station: a.station, end: a.id },
            { station: b.station, end: b.id },
          ],
          cells: [
            { kind: 'end', id: b.id, path: ['port'] },
            { kind: 'end', id: a.id, path: ['port'] },
          ],
          params: { ...params, a: stationName(reader, a.station), b: stationName(reader, b.station) },
          subjects: [exchange.id],
        };
      }
      const lanes = childrenOf(reader, 'lane', exchange.id);
      for (const end of ends) {
        const known = new Map<string, Claim>();
        for (const lane of lanes) {
          const claim = childrenOf(reader, 'claim', lane.id).find((c) => c.end === end.id);
          const direction = claim && readable(claim.direction);
          if (!claim || !direction || claim.slot === null || claim.slot === undefined) continue;
          const key = `${claim.slot} ${direction}`;
          const first = known.get(key);
          if (!first) known.set(key, claim);
          else {
            yield {
              message: 'slotTwice',
              label: 'slot twice',
              about,
              lane: lane.id,
              parties: [{ station: end.station, end: end.id }],
              cells: [
                { kind: 'claim', id: claim.id, path: ['slot'] },
                { kind: 'claim', id: first.id, path: ['slot'] },
              ],
              params: {
                exchange: exchange.name,
                a: stationName(reader, end.station),
                does: direction,
                slot: String(claim.slot),
                first: first.name || 'a lane',
                second: claim.name || 'another',
              },
              subjects: [end.id, key, claim.id],
            };
          }
        }
      }
    },
  },
};
