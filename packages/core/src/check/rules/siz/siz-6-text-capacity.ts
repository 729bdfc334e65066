import { set } from '../../../change/make.js';
import { formatType } from '../../../data/types.js';
import type { Side } from '../../../lane/side.js';
import { inPageOrder } from '../../lane-report.js';
import type { Rule } from '../../rule.js';
import { valuePairReport } from '../../value-pair-report.js';

export const textCapacity: Rule = {
  meta: {
    code: 'SIZ 6',
    title: 'A text has one capacity at both ends',
    source: 'common practice: the longer text is cut, or the bytes after the shorter one are taken for text',
    yieldsTo: ['SIZ 1'],
    messages: {
      differs: {
        severity: 'doubt',
        headline: '{lane}: {value} is {aType} at {a}, {bType} at {b}',
        says: ['{aValue} is [[{aType}]]', '{bValue} is [[{bType}]]'],
        consequence: 'A long text loses its end, or is followed by what lies behind it.',
        remedy: 'Give the text one capacity, or confirm that it never becomes that long.',
      },
      header: {
        severity: 'blocker',
        headline: '{lane}: {value} is kept {aLayout} at {a}, {bLayout} at {b}',
        says: ['{aValue} is kept [[{aLayout}]]', '{bValue} is kept [[{bLayout}]]'],
        consequence: 'Its header is read as characters, or its first characters as a header.',
        remedy: 'Begin the block after the header, or set the layout rule of texts alike.',
      },
    },
  },
  on: {
    *lane(comparison, context) {
      for (const d of comparison.differences) {
        if (d.code !== 'SIZ 6') continue;
        if (d.how === 'capacity') {
          yield valuePairReport(context, comparison, d, { message: 'differs', label: 'capacity' });
          continue;
        }
        const report = valuePairReport(context, comparison, d, { message: 'header', label: 'text header' });
        const [a, b] = inPageOrder(comparison, d.left, d.right).map(layoutWords);
        yield { ...report, params: { ...report.params, aLayout: a!, bLayout: b! } };
      }
    },
  },
  fixes(finding, reader) {
    if (finding.message === 'header') return [];
    return [1, 0].flatMap((i) => {
      const [mine, theirs] = [finding.cells[i]!, finding.cells[1 - i]!];
      const claim = reader.get('claim', mine.id)!;
      const other = reader.get('claim', theirs.id)!;
      const type = theirs.path[0] === 'items' ? other.items[theirs.path[1]!]?.type : other.type;
      if (!type || 'typed' in type) return [];
      const station = reader.get('station', finding.parties[i]!.station)!.name;
      return [{ label: `${station}: ${formatType(type)}`, changes: [set('claim', claim, mine.path, type)] }];
    });
  },
};

/** `with capacity and length before it, a byte a character` */
function layoutWords({ block }: Side): string {
  const { stringHeader, characters } = block!.chain.frame.layout;
  return `with ${stringHeader === 'none' ? 'nothing' : stringHeader} before it, a ${characters} a character`;
}
