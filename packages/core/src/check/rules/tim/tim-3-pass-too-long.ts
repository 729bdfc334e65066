import { set } from '../../../change/make.js';
import { childrenOf } from '../../../model/order.js';
import { linePassOf, roundCadence } from '../../../time/line-pass.js';
import { pollPlanOf, type ExchangePlan } from '../../../exchange/poll-plan-of.js';
import type { Exchange } from '../../../model/exchange.js';
import { counted } from '../../few-of.js';
import type { Report, Rule } from '../../rule.js';

const ms = (value: number): string => (value >= 100 ? value.toFixed(0) : value.toFixed(1));

export const passTooLong: Rule = {
  meta: {
    code: 'TIM 3',
    title: 'One poll cycle over all requests fits into the interval',
    source:
      'MODBUS over Serial Line V1.02, 2.5.1: characters and silences; Application Protocol V1.1b3: frames [from memory]',
    messages: {
      pass: {
        severity: 'blocker',
        headline: '{exchange}: a poll cycle takes about {pass} ms; the interval is {cadence} ms',
        says: ['{requests}, {terms}: [[{pass} ms]]; interval [[{cadence} ms]]'],
        consequence: 'The caller falls behind; values are older than the interval says, and some are never asked for.',
        remedy: 'Set the interval to {proposed} ms, or ask for less, faster, or on a second line.',
      },
      plan: {
        severity: 'blocker',
        headline: '{exchange}: a poll cycle takes about {pass} ms; the interval is {cadence} ms',
        says: ['{requests}, the fewest that bring all of it: [[{pass} ms]]; interval [[{cadence} ms]]'],
        consequence: 'The caller falls behind; values are older than the interval says, and some are never asked for.',
        remedy: 'Set the interval to {proposed} ms, or ask for less, faster, or on a second line.',
      },
    },
  },
  on: {
    *exchange(exchange, { reader }) {
      if (exchange.kind === 'tag map') {
        const plan = exchange.cadence ? pollPlanOf(reader, exchange) : null;
        if (plan?.holds === false) yield planTooLong(exchange, plan);
        return;
      }
      const pass = exchange.cadence ? linePassOf(reader, exchange) : null;
      if (!pass || !exchange.cadence || pass.total <= exchange.cadence) return;
      const caller = childrenOf(reader, 'end', exchange.id).find((e) => e.calling === 'calls')!;
      const [first] = pass.requests;
      yield {
        message: 'pass',
        label: 'poll cycle too long',
        about: { kind: 'exchange', id: exchange.id, name: exchange.name },
        parties: [{ station: caller.station, end: caller.id }],
        cells: [
          { kind: 'exchange', id: exchange.id, path: ['cadence'] },
          { kind: 'exchange', id: exchange.id, path: ['responseDelay'] },
        ],
        params: {
          exchange: exchange.name,
          pass: ms(pass.total),
          cadence: String(exchange.cadence),
          requests: counted('request')(pass.requests.length),
          terms:
            `the first ${ms(first!.request)} ms request + ${ms(first!.silence)} ms silence + ${ms(first!.delay)} ms delay ` +
            `+ ${ms(first!.response)} ms answer + ${ms(first!.silence)} ms silence at ${pass.settings}`,
          proposed: String(roundCadence(pass.total)),
        },
        subjects: [exchange.id],
      };
    },
  },
  fixes(finding, reader) {
    const exchange = reader.get('exchange', finding.about.id);
    if (!exchange) return [];
    const { cadence, proposed } = finding.params;
    return [
      {
        label: `${exchange.name}: every ${cadence} ms → ${proposed} ms`,
        changes: [set('exchange', exchange, ['cadence'], Number(proposed))],
      },
    ];
  },
};

function planTooLong(exchange: Exchange, plan: ExchangePlan): Report {
  const { caller } = plan.devices[0]!;
  const requests = plan.devices.reduce((sum, device) => sum + device.requests.length, 0);
  return {
    message: 'plan',
    label: 'poll cycle too long',
    about: { kind: 'exchange', id: exchange.id, name: exchange.name },
    parties: [{ station: caller.station, end: caller.id }],
    cells: [{ kind: 'exchange', id: exchange.id, path: ['cadence'] }],
    params: {
      exchange: exchange.name,
      pass: ms(plan.pass),
      cadence: String(exchange.cadence),
      requests: counted('request')(requests),
      proposed: String(roundCadence(plan.pass)),
    },
    subjects: [exchange.id],
  };
}
