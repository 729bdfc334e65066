import { compareVersions } from '../../../rack/revisions.js';
import { childrenOf, entriesInOrder } from '../../../model/order.js';
import { protocolAt } from '../../../protocol/catalogue.js';
import type { Report, Rule } from '../../rule.js';
import { routeReport, stopOf } from '../rou/route-report.js';

export const firmware: Rule = {
  meta: {
    code: 'HWS 8',
    title: 'The firmware of each end is new enough for the exchange',
    source: 'common practice: a protocol comes with a certain firmware; the profile says with which, and from where',
    messages: {
      older: {
        severity: 'blocker',
        headline: '{exchange}: {a} has firmware {found}, and {protocol} needs {least}',
        says: ['{part} [[{found}]]; {protocol} from {least} on ({source})'],
        consequence: 'This end does not have the protocol yet.',
        remedy: 'Bring {a} to {least} or later, or choose another protocol; correct the profile if it is wrong there.',
      },
      hop: {
        severity: 'blocker',
        headline: '{route}, hop {hop}: {found}',
        says: ['hop {hop}: {must}', '[[{found}]]'],
        consequence: 'The route ends at a station that does not hand it on yet.',
        remedy: 'Bring it to that firmware, or choose another way; correct the profile if it is wrong there.',
      },
    },
  },
  on: {
    *route(route, { reader }) {
      const first = stopOf(reader, route)?.first;
      if (first?.condition.code !== 'HWS 8') return;
      const { must, found, cell } = first.condition;
      yield routeReport(reader, route, 'hop', 'firmware', { hop: String(first.hop + 1), must, found }, cell);
    },
    *exchange(exchange, { reader }): Generator<Report> {
      for (const end of childrenOf(reader, 'end', exchange.id)) {
        const protocol = protocolAt(exchange, end);
        const station = reader.get('station', end.station);
        const profile = station?.profile ? reader.get('profile', station.profile) : undefined;
        const speech = profile?.speaks?.[protocol.id];
        const least = speech?.firmware?.trim() ?? '';
        // The first part is the one that the others hang on: the CPU.
        const [first] = entriesInOrder(station?.firmware ?? {});
        if (!station || !speech || least === '' || !first) continue;
        const [key, { part, version }] = first;
        const order = compareVersions(version, least);
        if (order === null || order >= 0) continue;
        yield {
          message: 'older',
          label: 'firmware',
          about: { kind: 'exchange', id: exchange.id, name: exchange.name },
          parties: [{ station: station.id, end: end.id }],
          cells: [
            { kind: 'station', id: station.id, path: ['firmware', key, 'version'] },
            { kind: 'exchange', id: exchange.id, path: ['protocol'] },
          ],
          params: {
            exchange: exchange.name,
            a: station.name,
            part: part || 'firmware',
            found: version,
            least,
            protocol: protocol.name,
            source: speech.source || 'its profile',
          },
          subjects: [end.id],
        };
      }
    },
  },
};
