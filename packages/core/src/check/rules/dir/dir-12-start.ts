import { missingSteps, proposeStart, stepWords } from '../../../exchange/start-sequence.js';
import { stationName } from '../../port-words.js';
import type { Rule } from '../../rule.js';

export const startIncomplete: Rule = {
  meta: {
    code: 'DIR 12',
    title: 'The start sequence has every condition that its stations ask for',
    source: 'common practice: a module neither calls nor listens before its program sets what it waits for',
    messages: {
      missing: {
        severity: 'doubt',
        headline: '{exchange}: the start sequence lacks “{step}” of {a}',
        says: ['its block has {use}: [[{step}]]'],
        consequence: 'The exchange never comes up, or only after somebody has set it by hand.',
        remedy: 'Add the step in the settings of the exchange.',
      },
    },
  },
  on: {
    *exchange(exchange, { reader }) {
      // A tool is let in by the module itself, whatever the program does.
      if (exchange.kind === 'service link') return;
      for (const one of missingSteps(reader, exchange)) {
        yield {
          message: 'missing',
          label: 'start sequence',
          about: { kind: 'exchange', id: exchange.id, name: exchange.name },
          parties: [{ station: one.end.station, end: one.end.id }],
          cells: [{ kind: 'exchange', id: exchange.id, path: ['start'] }],
          params: {
            exchange: exchange.name,
            a: stationName(reader, one.end.station),
            use: one.member.use,
            step: stepWords(one),
          },
          subjects: [one.end.id, one.ref],
        };
      }
    },
  },
  fixes(finding, reader) {
    const exchange = reader.get('exchange', finding.about.id);
    const end = finding.parties[0]?.end;
    if (!exchange) return [];
    const { a, step } = finding.params;
    const changes = proposeStart(reader, exchange, (one) => one.end.id === end && stepWords(one) === step);
    const alone = { label: `add “${step}” of ${a}`, changes };
    const missing = missingSteps(reader, exchange).length;
    if (missing < 2) return changes.length > 0 ? [alone] : [];
    return [{ label: `add all ${missing} steps`, changes: proposeStart(reader, exchange) }, alone];
  },
};
