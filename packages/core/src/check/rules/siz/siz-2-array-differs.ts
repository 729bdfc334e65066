import { lengthBits } from '../../../place/length.js';
import { elementary, formatType } from '../../../data/types.js';
import { readable } from '../../../model/as-typed.js';
import type { Claim, TypeRef } from '../../../model/claim.js';
import { set } from '../../../change/make.js';
import type { Rule } from '../../rule.js';
import { valuePairReport } from '../../value-pair-report.js';

export const arrayDiffers: Rule = {
  meta: {
    code: 'SIZ 2',
    title: 'An array has as many elements at both ends',
    source: 'common practice: an array is declared with one size at both ends',
    yieldsTo: ['SIZ 1'],
    messages: {
      differs: {
        severity: 'blocker',
        headline: '{lane}: {value} is {aType} at {a}, {bType} at {b}',
        says: ['{aValue} is [[{aType}]]', '{bValue} is [[{bType}]]'],
        consequence: 'The elements beyond the shorter array have no counterpart.',
        remedy: 'Declare the array with one number of elements at both ends.',
      },
    },
  },
  on: {
    *lane(comparison, context) {
      for (const d of comparison.differences) {
        if (d.code !== 'SIZ 2') continue;
        const [x, y] = comparison.sides[0] === d.left ? [d.a, d.b] : [d.b, d.a];
        const label = `×${x.type.count} and ×${y.type.count}`;
        yield valuePairReport(context, comparison, d, { message: 'differs', label });
      }
    },
  },
  fixes(finding, reader) {
    const cells = finding.cells.filter(({ kind }) => kind === 'claim');
    // A value and a block are two things to declare; neither takes the other's type.
    if (new Set(cells.map((cell) => cell.path[0])).size > 1) return [];
    const claims = cells.map((cell) => reader.get('claim', cell.id)!);
    const types = cells.map((cell, i) => {
      const claim = claims[i]!;
      return cell.path[0] === 'items' ? claim.items[cell.path[1]!]!.type : claim.type;
    });
    return [1, 0].flatMap((i) => {
      const other = types[1 - i];
      if (!other || 'typed' in other || !fits(claims[i]!, cells[i]!.path, other)) return [];
      const station = reader.get('station', finding.parties[i]!.station)!.name;
      const change = set('claim', claims[i]!, cells[i]!.path, other);
      return [{ label: `${station}: ${formatType(other)}`, changes: [change] }];
    });
  },
};

/** Whether so many elements lie inside the length that the claim has; a longer lane is no part of this remedy. */
function fits(claim: Claim, path: readonly string[], { base, count }: TypeRef): boolean {
  const length = readable(claim.length);
  const offset = path[0] === 'items' ? readable(claim.items[path[1]!]?.offset ?? null) : null;
  const bits = (elementary(base)?.bits ?? 0) * count;
  return length === null || (offset?.bits ?? 0) + bits <= lengthBits(length) - (claim.header ?? 0);
}
