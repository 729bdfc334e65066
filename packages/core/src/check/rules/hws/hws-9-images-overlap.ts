import { landedOf, spansMeet } from '../../../rack/landed.js';
import { childrenOf } from '../../../model/order.js';
import type { Rule } from '../../rule.js';

export const imagesOverlap: Rule = {
  meta: {
    code: 'HWS 9',
    title: 'The ranges of two modules do not overlap in the images of their owner',
    source: 'common practice: each byte of an image belongs to one module',
    yieldsAtCell: ['HWS 2 bytes'],
    messages: {
      overlap: {
        severity: 'blocker',
        headline: '{a}: {first} at {firstRange} and {second} at {secondRange} overlap',
        says: ['{first} at [[{firstRange}]], {second} at [[{secondRange}]]'],
        consequence: 'Both modules move the same bytes; one of them is always wrong.',
        remedy: 'Move one of the two ranges.',
      },
    },
  },
  on: {
    *station(station, { reader }) {
      const landed = childrenOf(reader, 'landing', station.id).flatMap((landing) => landedOf(reader, landing));
      for (const [i, b] of landed.entries()) {
        const a = landed
          .slice(0, i)
          .find((o) => o.area === b.area && o.module.id !== b.module.id && spansMeet(o.spans, b.spans));
        if (!a) continue;
        yield {
          message: 'overlap',
          label: 'ranges overlap',
          about: { kind: 'station', id: station.id, name: station.name },
          parties: [{ station: station.id }],
          cells: [
            ...[b, a].map((one) => ({ kind: 'landing' as const, id: one.landing.id, path: [one.field] })),
            ...[b, a].map((one) => ({
              kind: 'landing' as const,
              id: one.landing.id,
              path: [one.field.replace('At', '')],
            })),
          ],
          params: {
            a: station.name,
            first: a.module.name || a.module.kind,
            second: b.module.name || b.module.kind,
            firstRange: a.range,
            secondRange: b.range,
          },
          subjects: [a.landing.id, b.landing.id, b.field],
        };
      }
    },
  },
};
