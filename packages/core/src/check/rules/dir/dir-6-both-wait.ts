import { protocolAt } from '../../../protocol/catalogue.js';
import type { End } from '../../../model/end.js';
import type { Exchange } from '../../../model/exchange.js';
import type { Reader } from '../../../model/project.js';
import type { Calling } from '../../../model/words.js';
import { fewOf } from '../../few-of.js';
import { set } from '../../../change/make.js';
import { childrenOf } from '../../../model/order.js';
import type { Report, Rule } from '../../rule.js';

export const bothWait: Rule = {
  meta: {
    code: 'DIR 6',
    title: 'One end calls, the other listens',
    source: 'MODBUS Messaging on TCP/IP Implementation Guide V1.0b: a client opens the connection, a server listens',
    yieldsAtCell: ['LIN 9 role'],
    messages: {
      wait: {
        severity: 'blocker',
        headline: '{exchange}: {a} and {b} {both} listen, so nobody starts',
        says: ['{a} [[listens]]', '{b} [[listens]]'],
        consequence: 'No connection is ever opened.',
        remedy: 'Let one of them call.',
      },
      call: {
        severity: 'blocker',
        headline: '{exchange}: {a} and {b} {both} call, so nobody listens',
        says: ['{a} [[calls]]', '{b} [[calls]]'],
        consequence: 'Neither call is answered.',
        remedy: 'Let one of them listen.',
      },
      undecided: {
        severity: 'doubt',
        headline: '{exchange}: it is not decided whether {a} calls or listens',
        says: ['{a}: [[calls or listens is not decided]]'],
        consequence: 'What has to be entered at this end is not known.',
        remedy: 'Choose calls or listens.',
      },
    },
  },
  on: {
    *exchange(exchange, { reader }): Generator<Report> {
      const ends = childrenOf(reader, 'end', exchange.id);
      const names = ends.map((end) => reader.get('station', end.station)?.name ?? '');
      const about = { kind: 'exchange' as const, id: exchange.id, name: exchange.name };
      const cell = (id: string) => ({ kind: 'end' as const, id, path: ['calling'] });
      for (const [i, end] of ends.entries()) {
        if (end.calling !== null) continue;
        yield {
          message: 'undecided',
          label: 'who calls',
          about,
          parties: [{ station: end.station, end: end.id }],
          cells: [cell(end.id)],
          params: { exchange: exchange.name, a: names[i]! },
          subjects: [exchange.id, end.id],
        };
      }
      const pair = unpaired(reader, exchange, ends);
      if (!pair) return;
      const { one, others, calling } = pair;
      const station = (id: string) => reader.get('station', id)?.name ?? '';
      yield {
        message: calling === 'calls' ? 'call' : 'wait',
        label: calling === 'calls' ? 'both call' : 'both listen',
        about,
        parties: [one, ...others].map((end) => ({ station: end.station, end: end.id })).slice(0, 2),
        cells: [one, ...others].reverse().map((end) => cell(end.id)),
        params: {
          exchange: exchange.name,
          a: station(one.station),
          b: fewOf(pair.coupler ? [station(pair.coupler)] : others.map((end) => station(end.station))),
          both: others.length > 1 ? 'all' : 'both',
        },
        subjects: [exchange.id],
      };
    },
  },
  fixes(finding, reader) {
    if (finding.message === 'undecided') return [];
    const other = finding.message === 'call' ? 'listens' : 'calls';
    return finding.cells.map((cell) => {
      const end = reader.get('end', cell.id)!;
      const station = reader.get('station', end.station)!;
      return { label: `${station.name} ${other}`, changes: [set('end', end, ['calling'], other)] };
    });
  },
};

interface Unpaired {
  /** the end that meets nobody of the other role, and those of its own role that it is to exchange with */
  one: End;
  others: End[];
  calling: Calling;
  /** the station in between, which waits to be called itself */
  coupler?: string;
}

/** Ends that are to exchange data and have one role: two ends of an exchange, or those of any of its lanes. */
function unpaired(reader: Reader, exchange: Exchange, ends: readonly End[]): Unpaired | null {
  if (exchange.via) {
    const waits = ends.find((end) => end.calling === 'listens' && !coupleCalls(reader, exchange.via!, exchange, end));
    return waits ? { one: waits, others: [], calling: 'listens', coupler: exchange.via } : null;
  }
  if (exchange.kind === 'coupler area') return null;
  const meetings =
    ends.length === 2
      ? [[ends[0]!, ends[1]!] as const]
      : childrenOf(reader, 'lane', exchange.id).flatMap((lane) => pairsOf(reader, lane.id));
  const alike = new Map<End, Set<End>>();
  const facing = new Set<End>();
  for (const [one, other] of meetings) {
    for (const [a, b] of [
      [one, other],
      [other, one],
    ] as const) {
      if (a.calling === null || b.calling === null) continue;
      if (a.calling !== b.calling) facing.add(a);
      else alike.set(a, (alike.get(a) ?? new Set()).add(b));
    }
  }
  // Who takes the same as others, and calls like them, is asked only where nobody of the other role is met.
  const alone = [...alike].filter(([end]) => !facing.has(end));
  const [most] = alone.sort(([, a], [, b]) => b.size - a.size);
  return most ? { one: most[0], others: [...most[1]], calling: most[0].calling! } : null;
}

/** Who gives the data of a lane with whoever takes it; two that both take it have nothing to do with each other. */
function pairsOf(reader: Reader, lane: string): (readonly [End, End])[] {
  const claims = childrenOf(reader, 'claim', lane);
  return claims.flatMap((a, i) =>
    claims.slice(i + 1).flatMap((b) => {
      const [x, y] = [reader.get('end', a.end), reader.get('end', b.end)];
      return x && y && x.id !== y.id && (a.direction !== b.direction || a.direction === 'both')
        ? [[x, y] as const]
        : [];
    }),
  );
}

/** What its profile says of a coupler; one of which nothing is said may call. */
function coupleCalls(reader: Reader, via: string, exchange: Exchange, end: End): boolean {
  const profile = reader.get('station', via)?.profile;
  const speaks = profile ? reader.get('profile', profile)?.speaks : undefined;
  return speaks?.[protocolAt(exchange, end).id]?.roles.includes('calls') ?? true;
}
