import { set } from '../../../change/make.js';
import type { Side } from '../../../lane/side.js';
import type { Reader } from '../../../model/project.js';
import type { Tag } from '../../../model/tag.js';
import { tagOf } from '../../../place/open-of.js';
import { tagsAt } from '../../../place/tag-at.js';
import { polarityTable } from '../../../tags/signal/polarity.js';
import { laneReport } from '../../lane-report.js';
import type { Rule } from '../../rule.js';

export const polarity: Rule = {
  meta: {
    code: 'TYP 7',
    title: 'A signal means the same in the plant, in the simulator and in the logic',
    source: 'common practice: a contact closed at rest gives 1 while nothing happens',
    messages: {
      differs: {
        severity: 'doubt',
        headline: '{lane}: {aTag} is {aPolarity} at {a}, {bTag} {bPolarity} at {b}',
        says: ['{aTag}: [[{aPolarity}]]', '{bTag}: [[{bPolarity}]]'],
        consequence: 'What is active at the one end is taken for at rest at the other.',
        remedy: 'Settle which it is, and turn it over at one end only.',
      },
      twice: {
        severity: 'doubt',
        headline: '{lane}: {a} and {b} both say {aPolarity}, the contact of the plant is {contact}',
        says: ['{aTag}: [[{aPolarity}]]', '{bTag}: [[{bPolarity}]]; in the plant [[{contact}]]'],
        consequence: 'It is inverted twice: correct in simulation, wrong in the plant.',
        remedy: 'Let both ends say what the contact of the plant is.',
      },
    },
  },
  on: {
    *lane(comparison, context) {
      const [a, b] = comparison.sides;
      const [tagA, tagB] = [a, b].map((side) => side && tagBehind(context.reader, side));
      if (!a || !b || !tagA?.polarity || !tagB?.polarity) return;
      const { contact } = comparison.lane;
      const differs = tagA.polarity !== tagB.polarity;
      const twice = contact ? polarityTable(contact, tagA.polarity, tagB.polarity).twice : false;
      if (!differs && !twice) return;
      yield laneReport(context, comparison, {
        message: differs ? 'differs' : 'twice',
        label: differs ? 'polarity' : 'inverted twice',
        sides: [a, b],
        cells: [tagB, tagA].map((tag) => ({ kind: 'tag', id: tag.id, path: ['polarity'] })),
        params: {
          aTag: tagA.name,
          bTag: tagB.name,
          aPolarity: tagA.polarity,
          bPolarity: tagB.polarity,
          contact: contact ?? '',
        },
      });
    },
  },
  fixes(finding, reader) {
    const [b, a] = finding.cells.map((cell) => reader.get('tag', cell.id));
    const lane = finding.lane ? reader.get('lane', finding.lane) : undefined;
    if (!a || !b || !lane) return [];
    if (finding.message === 'twice') {
      const changes = [a, b].map((tag) => set('tag', tag, ['polarity'], lane.contact));
      return [{ label: `both ends: ${lane.contact}`, changes }];
    }
    if (lane.contact) {
      const wrong = a.polarity === lane.contact ? b : a;
      return [{ label: `${wrong.name}: ${lane.contact}`, changes: [set('tag', wrong, ['polarity'], lane.contact)] }];
    }
    return [
      { label: `${b.name}: ${a.polarity}`, changes: [set('tag', b, ['polarity'], a.polarity)] },
      { label: `${a.name}: ${b.polarity}`, changes: [set('tag', a, ['polarity'], b.polarity)] },
    ];
  },
};

/** The tag that a claim is bound to, else the one in its station's list that lies where the claim's block begins. */
function tagBehind(reader: Reader, { claim, block }: Side): Tag | undefined {
  const bound = tagOf(reader, claim);
  if (bound || !block) return bound;
  return tagsAt(reader, block.memory, block.located).find((tag) => tag.polarity);
}
