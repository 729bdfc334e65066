import { toldFields } from '../../../told/told.js';
import { childrenOf } from '../../../model/order.js';
import { listeningOn } from '../../../wiring/listening.js';
import type { Report, Rule } from '../../rule.js';
import { toldFix } from './told-fix.js';

export const tcpPort: Rule = {
  meta: {
    code: 'ADR 12',
    title: 'The TCP port that is called is the one that is listened on',
    source: 'IANA Service Name and Transport Protocol Port Number Registry: Modbus 502',
    messages: {
      called: {
        severity: 'blocker',
        headline: '{a} calls TCP port {told} of {b}, which listens on {true}',
        says: ['calls TCP port [[{told}]]{default}', 'listens on [[{true}]]'],
        consequence: 'The connection is refused.',
        remedy: 'Type {true} at {a}, or let {b} listen on {told}.',
      },
      twice: {
        severity: 'doubt',
        headline: '{a}, {port}: {first} and {second} both listen on TCP port {number}',
        says: ['{port}: [[{number}]] for {first}, [[{number}]] for {second}'],
        consequence: 'One program has the port; the other never gets a call.',
        remedy: 'Give one of them another TCP port, and tell those who call it.',
      },
    },
  },
  on: {
    *exchange(exchange, { reader }): Generator<Report> {
      for (const end of childrenOf(reader, 'end', exchange.id)) {
        for (const value of toldFields(reader, exchange, end)) {
          if (value.field !== 'tcpPort' || value.same || value.truth === null || value.told === '') continue;
          const name = (id: string) => reader.get('station', id)?.name ?? '';
          yield {
            message: 'called',
            label: 'TCP port',
            about: { kind: 'exchange', id: exchange.id, name: exchange.name },
            parties: [
              { station: end.station, end: end.id },
              { station: value.station, end: value.other.id },
            ],
            cells: [{ kind: 'end', id: end.id, path: ['told', value.other.id, 'tcpPort'] }, value.set],
            params: {
              a: name(end.station),
              b: name(value.station),
              told: value.told,
              true: value.truth,
              default: value.isDefault ? ', the default' : '',
            },
            subjects: [end.id, value.other.id],
          };
        }
      }
    },
    *station(station, { reader }): Generator<Report> {
      for (const port of childrenOf(reader, 'port', station.id)) {
        const servers = listeningOn(reader, port);
        for (const [i, second] of servers.entries()) {
          const earlier = servers.slice(0, i).find((one) => one.tcpPort === second.tcpPort);
          if (!earlier) continue;
          yield {
            message: 'twice',
            label: 'TCP port twice',
            about: { kind: 'station', id: station.id, name: station.name },
            parties: [{ station: station.id }],
            cells: [{ kind: 'port', id: port.id, path: ['listens'] }],
            params: {
              a: station.name,
              port: port.name || 'port',
              first: earlier.name,
              second: second.name,
              number: String(second.tcpPort),
            },
            subjects: [port.id, second.protocol],
          };
        }
      }
    },
  },
  fixes: toldFix,
};
