import { set } from '../change/make.js';
import type { Change } from '../change/change.js';
import type { End } from '../model/end.js';
import type { ToldFieldName } from '../model/words.js';

/** Types into an end what it is told about another. */
export function tell(end: End, other: string, field: ToldFieldName, text: string): Change {
  if (end.told[other]) return set('end', end, ['told', other, field], text);
  return set('end', end, ['told', other], { address: '', tcpPort: '', unit: '', [field]: text });
}
