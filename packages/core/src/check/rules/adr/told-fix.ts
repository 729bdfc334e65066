import { set } from '../../../change/make.js';
import type { Reader } from '../../../model/project.js';
import type { Finding } from '../../finding.js';
import type { Fix } from '../../rule.js';

/** Types what is so where an end was told something else: the finding's first cell, its parameters `told` and `true`. */
export function toldFix(finding: Finding, reader: Reader): Fix[] {
  const [cell] = finding.cells;
  const end = cell?.kind === 'end' ? reader.get('end', cell.id) : undefined;
  const [, other = '', field = ''] = cell?.path ?? [];
  const truth = finding.params.true;
  if (!end || !truth || truth === 'not known yet') return [];
  const change = end.told[other]
    ? set('end', end, cell!.path, truth)
    : set('end', end, ['told', other], { address: '', tcpPort: '', unit: '', [field]: truth });
  return [{ label: `${finding.params.a} told: ${finding.params.told} → ${truth}`, changes: [change] }];
}
