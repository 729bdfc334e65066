import type { MemoryCopy } from '../model/memory-copy.js';
import type { Project } from '../model/project.js';
import { smallPlant } from './random-edits.testing.js';
import { added, edited, type FieldEdit } from './two-stations.testing.js';

export const at = (area: string, view: string, number: number) => ({ area, view, number });
export const words = (count: number) => ({ count, unit: 16 as const });
/** A copies what C writes to it at 320 on to 600, from where B reads it in a second lane of exchange x. */
export function copying(copy: Partial<MemoryCopy> = {}, ...edits: FieldEdit[]): Project {
  const base = smallPlant();
  const made = added(base, 'copy', {
    id: 'copy',
    order: 10,
    station: 'sa',
    name: 'Handed on',
    length: words(4),
    reader: 'sb',
    from: at('areaa', 'va', 320),
    to: at('areaa', 'va', 600),
    ...copy,
  });
  const lane = added(made, 'lane', { id: 'on', order: 90, exchange: 'x', items: {} });
  const [ca, cb] = [base.get('claim', 'ca')!, base.get('claim', 'cb')!];
  const claims = added(
    lane,
    'claim',
    { ...ca, id: 'con', lane: 'on', place: at('areaa', 'va', 600), toldPlace: 'b500' },
    { ...cb, id: 'don', lane: 'on', place: at('areab', 'vb', 500) },
  );
  return edited(claims, ['area', 'areaa', 'writers', []], ['area', 'areaa', 'writers', ['program']], ...edits);
}
