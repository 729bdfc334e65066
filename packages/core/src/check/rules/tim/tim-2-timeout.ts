import { set } from '../../../change/make.js';
import { childrenOf } from '../../../model/order.js';
import type { End } from '../../../model/end.js';
import type { Exchange } from '../../../model/exchange.js';
import type { Reader } from '../../../model/project.js';
import { linePassOf, roundCadence } from '../../../time/line-pass.js';
import type { Report, Rule } from '../../rule.js';

/** Of those that answer, the one whose program takes longest for a pass. */
function slowestAnswer(reader: Reader, exchange: Exchange): { end: End; name: string; scan: number } | null {
  const answering = childrenOf(reader, 'end', exchange.id).flatMap((end) => {
    const station = end.calling === 'listens' ? reader.get('station', end.station) : undefined;
    return station?.scan ? [{ end, name: station.name, scan: station.scan }] : [];
  });
  return answering.sort((a, b) => b.scan - a.scan)[0] ?? null;
}

export const timeoutTooShort: Rule = {
  meta: {
    code: 'TIM 2',
    title: 'The timeout is not shorter than an answer takes; of cyclic data, than its interval',
    source: 'common practice: what is given up before the next is due makes a link look lost that is not',
    messages: {
      answer: {
        severity: 'blocker',
        headline: '{exchange}: timeout {timeout} ms is shorter than the answer time, up to {answer} ms',
        says: ['timeout [[{timeout} ms]]; response delay and answer [[{answer} ms]]'],
        consequence: 'Every longer answer is taken for none.',
        remedy: 'Set the timeout to {proposed} ms or more.',
      },
      pass: {
        severity: 'doubt',
        headline: '{exchange}: timeout {timeout} ms is shorter than the scan of {a}, {scan} ms',
        says: ['timeout [[{timeout} ms]]; a scan every [[{scan} ms]]'],
        consequence: 'A station that answers once in a scan answers too late.',
        remedy: 'Set the timeout to {proposed} ms or more, unless {a} is known to answer in between.',
      },
      cadence: {
        severity: 'doubt',
        headline: '{exchange}: timeout {timeout} ms is shorter than the interval, {cadence} ms',
        says: ['timeout [[{timeout} ms]], interval {cadence} ms'],
        consequence: 'One late message is taken for a lost link.',
        remedy: 'Set the timeout to three times the interval, {proposed} ms, or to what the device asks for.',
      },
    },
  },
  on: {
    *exchange(exchange, { reader }): Iterable<Report> {
      const { cadence, timeout } = exchange;
      const answers = timeout ? (linePassOf(reader, exchange)?.requests ?? []) : [];
      const longest = Math.max(0, ...answers.map((r) => r.silence + r.delay + r.response));
      if (timeout && longest > timeout) {
        yield {
          message: 'answer',
          label: 'timeout',
          about: { kind: 'exchange', id: exchange.id, name: exchange.name },
          parties: childrenOf(reader, 'end', exchange.id).map((end) => ({ station: end.station, end: end.id })),
          cells: [{ kind: 'exchange', id: exchange.id, path: ['timeout'] }],
          params: {
            exchange: exchange.name,
            timeout: String(timeout),
            answer: longest.toFixed(1),
            proposed: String(roundCadence(longest)),
          },
          subjects: [exchange.id],
        };
        return;
      }
      const slowest = timeout && exchange.transfer === 'requests' ? slowestAnswer(reader, exchange) : null;
      if (timeout && slowest && slowest.scan > timeout) {
        yield {
          message: 'pass',
          label: 'timeout',
          about: { kind: 'exchange', id: exchange.id, name: exchange.name },
          parties: [{ station: slowest.end.station, end: slowest.end.id }],
          cells: [
            { kind: 'exchange', id: exchange.id, path: ['timeout'] },
            { kind: 'station', id: slowest.end.station, path: ['scan'] },
          ],
          params: {
            exchange: exchange.name,
            timeout: String(timeout),
            a: slowest.name,
            scan: String(slowest.scan),
            proposed: String(roundCadence(slowest.scan * 2)),
          },
          subjects: [exchange.id],
        };
        return;
      }
      // Of requests the timeout is of one answer, and may well be shorter than the time to the next request.
      if (exchange.transfer !== 'cyclic blocks' || !cadence || !timeout || timeout >= cadence) return;
      yield {
        message: 'cadence',
        label: 'timeout',
        about: { kind: 'exchange', id: exchange.id, name: exchange.name },
        parties: childrenOf(reader, 'end', exchange.id).map((end) => ({ station: end.station, end: end.id })),
        cells: [
          { kind: 'exchange', id: exchange.id, path: ['timeout'] },
          { kind: 'exchange', id: exchange.id, path: ['cadence'] },
        ],
        params: {
          exchange: exchange.name,
          timeout: String(timeout),
          cadence: String(cadence),
          proposed: String(cadence * 3),
        },
        subjects: [exchange.id],
      };
    },
  },
  fixes(finding, reader) {
    const exchange = reader.get('exchange', finding.about.id);
    if (!exchange) return [];
    const { timeout, proposed } = finding.params;
    return [
      {
        label: `${exchange.name}: timeout ${timeout} ms → ${proposed} ms`,
        changes: [set('exchange', exchange, ['timeout'], Number(proposed))],
      },
    ];
  },
};
