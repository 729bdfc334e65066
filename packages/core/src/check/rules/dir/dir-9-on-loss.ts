import { childrenOf } from '../../../model/order.js';
import { set } from '../../../change/make.js';
import type { Exchange } from '../../../model/exchange.js';
import { ON_RETURN, SINKS_ON_LOSS, SOURCE_ON_LOSS } from '../../../model/words.js';
import { fewOf } from '../../few-of.js';
import type { Report, Rule } from '../../rule.js';

/** What is to be decided, in the words of a sentence, with what can be chosen. */
const QUESTIONS = [
  { field: 'sinks', choices: SINKS_ON_LOSS, what: (sinks: string) => `what the sinks do (${sinks})` },
  {
    field: 'source',
    choices: SOURCE_ON_LOSS,
    what: (_: string, source: string) => `whether the source is told of it (${source})`,
  },
  { field: 'back', choices: ON_RETURN, what: () => 'how outputs come back when the link does' },
] as const;

export const onLoss: Rule = {
  meta: {
    code: 'DIR 9',
    title: 'What happens on a lost link, and when it is back, was decided',
    source:
      'common practice: data that is sent cyclically goes stale in silence; what its sinks then do is to be decided',
    messages: {
      undecided: {
        severity: 'doubt',
        headline: '{exchange}: for a lost link it is not decided {what}',
        says: ['[[not decided]]: {what}'],
        consequence: 'What the plant then does, nobody has thought of.',
        remedy: 'Decide it in the settings of the exchange: {choices}.',
      },
      goesOn: {
        severity: 'doubt',
        headline: '{exchange}: {source} keeps sending commands while the link is down, and nothing tells its program',
        says: ['the source [[goes on commanding]]'],
        consequence: 'Its program believes in what no longer arrives.',
        remedy: 'Give the program a status of the link, or accept it with the reason why it need not know.',
      },
      byItself: {
        severity: 'doubt',
        headline: '{exchange}: outputs come back by themselves when the link returns',
        says: ['outputs [[come back by themselves]]'],
        consequence: 'Something may start without anybody having released it.',
        remedy: 'Let them wait for a release, or accept it with the reason why it is safe.',
      },
    },
  },
  on: {
    *exchange(exchange, { reader }): Generator<Report> {
      const lanes = childrenOf(reader, 'lane', exchange.id);
      if (exchange.transfer !== 'cyclic blocks' || lanes.length === 0) return;
      const ends = childrenOf(reader, 'end', exchange.id);
      const claims = lanes.flatMap((lane) => childrenOf(reader, 'claim', lane.id));
      const names = (does: 'writes' | 'reads') =>
        ends
          .filter((end) => claims.some((c) => c.end === end.id && (c.direction === does || c.direction === 'both')))
          .map((end) => reader.get('station', end.station)?.name ?? '')
          .join(', ');
      const report = (message: string, fields: readonly string[], label: string): Report => ({
        message,
        label,
        about: { kind: 'exchange', id: exchange.id, name: exchange.name },
        parties: ends.map((end) => ({ station: end.station, end: end.id })),
        cells: fields.map((field) => ({ kind: 'exchange', id: exchange.id, path: ['onLoss', field] })),
        params: {
          exchange: exchange.name,
          source: names('writes') || 'the source',
          what: fewOf(open.map(({ what }) => what(names('reads') || 'the sinks', names('writes') || 'the source'))),
          choices: open.map(({ field, choices }) => `${field}: ${choices.join(', or ')}`).join('; '),
        },
        subjects: [exchange.id],
      });
      const decided = exchange.onLoss;
      const open = QUESTIONS.filter(({ field }) => !decided?.[field]);
      if (open.length > 0)
        yield report(
          'undecided',
          open.map(({ field }) => field),
          'lost link',
        );
      if (decided?.source === 'goes on commanding') yield report('goesOn', ['source'], 'not told of it');
      if (decided?.back === 'come back by themselves') yield report('byItself', ['back'], 'comes back');
    },
  },
  fixes(finding, reader) {
    const exchange = reader.get('exchange', finding.about.id);
    if (!exchange) return [];
    const fix = (label: string, next: Partial<NonNullable<Exchange['onLoss']>>) => ({
      label,
      changes: [set('exchange', exchange, ['onLoss'], { ...exchange.onLoss, ...next })],
    });
    // What the sinks are to do is for the engineer to say.
    if (finding.message === 'undecided') return [];
    if (finding.message === 'goesOn') return [fix(`the source ${SOURCE_ON_LOSS[0]}`, { source: SOURCE_ON_LOSS[0] })];
    return [fix(`outputs ${ON_RETURN[1]}`, { back: ON_RETURN[1] })];
  },
};
