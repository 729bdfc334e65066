import { set } from '../../../change/make.js';
import { childrenOf } from '../../../model/order.js';
import type { Report, Rule } from '../../rule.js';

export const bothWait: Rule = {
  meta: {
    code: 'DIR 6',
    title: 'One end calls, the other listens',
    source: 'MODBUS Messaging on TCP/IP Implementation Guide V1.0b: a client opens the connection, a server listens',
    messages: {
      wait: {
        severity: 'blocker',
        headline: '{exchange}: {a} and {b} both listen, so nobody starts',
        says: ['{a} [[listens]]', '{b} [[listens]]'],
        consequence: 'No connection is ever opened.',
        remedy: 'Let one of them call.',
      },
      call: {
        severity: 'blocker',
        headline: '{exchange}: {a} and {b} both call, so nobody listens',
        says: ['{a} [[calls]]', '{b} [[calls]]'],
        consequence: 'Neither call is answered.',
        remedy: 'Let one of them listen.',
      },
      undecided: {
        severity: 'doubt',
        headline: '{exchange}: it is not decided whether {a} calls or listens',
        says: ['{a}: [[calls or listens is not decided]]'],
        consequence: 'What this end must be told is not known.',
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
      const [first, second] = ends;
      // A coupler is called from both sides.
      if (
        exchange.via ||
        ends.length !== 2 ||
        !first ||
        !second ||
        first.calling === null ||
        first.calling !== second.calling
      )
        return;
      yield {
        message: first.calling === 'calls' ? 'call' : 'wait',
        label: first.calling === 'calls' ? 'both call' : 'both listen',
        about,
        parties: ends.map((end) => ({ station: end.station, end: end.id })),
        cells: [cell(second.id), cell(first.id)],
        params: { exchange: exchange.name, a: names[0]!, b: names[1]! },
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
