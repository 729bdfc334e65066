import { set } from '../../../change/make.js';
import { tell } from '../../../told/told.js';
import type { Reader } from '../../../model/project.js';
import type { ToldFieldName } from '../../../model/words.js';
import type { Finding } from '../../../finding/finding.js';
import type { Fix } from '../../rule.js';

/** Types what is so where an end was told something else: the finding's cells, its parameters `told` and `true`. */
export function toldFix(finding: Finding, reader: Reader): Fix[] {
  const [cell] = finding.cells;
  const row = cell?.kind === 'claim' ? reader.get('claim', cell.id) : undefined;
  if (row && finding.params.true && finding.message.startsWith('row')) {
    const { true: truth, a } = finding.params;
    // Without the partner's own address nobody can say what would be right.
    if (!/\d/.test(truth)) return [];
    return [{ label: `${a} asks ${truth} in this row`, changes: [set('claim', row, ['toldStation'], truth)] }];
  }
  const truth = finding.params.true;
  if (!truth || truth === 'not known yet') return [];
  const changes = finding.cells.flatMap(({ kind, id, path: [part, other = '', field = ''] }) => {
    const end = kind === 'end' && part === 'told' ? reader.get('end', id) : undefined;
    return end ? [tell(end, other, field as ToldFieldName, truth)] : [];
  });
  if (changes.length === 0) return [];
  return [{ label: `${finding.params.a} has entered: ${finding.params.told} → ${truth}`, changes }];
}
