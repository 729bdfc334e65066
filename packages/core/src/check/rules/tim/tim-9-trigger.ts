import { set } from '../../../change/make.js';
import { readable } from '../../../model/as-typed.js';
import { claimCell, laneReport } from '../../lane-report.js';
import type { Rule } from '../../rule.js';

export const triggerLeavesGap: Rule = {
  meta: {
    code: 'TIM 9',
    title: 'What goes on change or on demand is there again after a return, and its age is known',
    source: 'common practice: what is sent on change only is not sent again when the link or the other end comes back',
    messages: {
      onChange: {
        severity: 'doubt',
        headline: '{lane}: {a} writes it on change only; after a return or a restart {b} has the old value',
        says: ['{aName}: [[on change]]', '{bName}: {bDoes} it'],
        consequence: 'Both ends believe different things until the value changes again.',
        remedy: 'Send it cyclically, or say in the settings of the exchange what is not sent again.',
      },
      onDemand: {
        severity: 'doubt',
        headline: '{lane}: {a} asks for it on demand; how old it is, is not known',
        says: ['{aName}: [[on demand]]', '{bName}: {bDoes} it'],
        consequence: 'Nobody can say how old the value is that is decided by.',
        remedy: 'State the rhythm of its calls as the cadence of the exchange.',
      },
    },
  },
  on: {
    *lane(comparison, context) {
      const { exchange, sides } = comparison;
      for (const side of sides) {
        const { trigger } = side.claim;
        const direction = readable(side.claim.direction);
        const other = sides.find((s) => s !== side);
        if (!other) continue;
        const onChange = trigger === 'on change' && direction !== 'reads' && !exchange.onLoss?.notRepeated;
        const onDemand = trigger === 'on demand' && exchange.cadence === null;
        if (!onChange && !onDemand) continue;
        yield laneReport(context, comparison, {
          message: onChange ? 'onChange' : 'onDemand',
          label: trigger!,
          sides: [side, other],
          cells: [claimCell(side, 'trigger')],
          subjects: [side.claim.id],
        });
      }
    },
  },
  fixes(finding, reader) {
    const claim = reader.get('claim', finding.cells[0]?.id ?? '');
    if (!claim || finding.message !== 'onChange') return [];
    return [{ label: 'send it cyclically', changes: [set('claim', claim, ['trigger'], 'cyclic')] }];
  },
};
