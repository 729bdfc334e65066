import { set } from '../change/make.js';
import type { End } from '../model/end.js';
import { ELEMENT_BITS, REFERENCE_FIELDS, type ReferenceField } from '../model/words.js';
import { changed, parseWhole, parseWord, parseYes, refused, type FieldEdit } from '../text/field-edit.js';

export type EndField = ReferenceField | 'elementBits' | 'permitted';

/** Instances are numbered in 16 bits. [published: The CIP Networks Library, Volume 1, object addressing] [from memory] */
const MOST_INSTANCE = 65_535;

const isReference = (field: EndField): field is ReferenceField =>
  (REFERENCE_FIELDS as readonly string[]).includes(field);

/** Typed or chosen text into what an end says of its own connection. */
export function editEnd(end: End, field: EndField, text: string): FieldEdit {
  const clean = text.trim();
  if (field === 'permitted') {
    const yes = parseYes(clean);
    return yes.ok ? changed(set('end', end, ['permitted'], yes.value || undefined)) : refused(yes);
  }
  if (field === 'elementBits') {
    if (clean === '') return changed(set('end', end, ['elementBits'], null));
    const bits = parseWord(clean.replace(/\s*bits?$/, ''), ELEMENT_BITS, 'width of elements');
    return bits.ok ? changed(set('end', end, ['elementBits'], bits.value)) : refused(bits);
  }
  if (!isReference(field)) return changed();
  if (field !== 'connection' && /^\d+$/.test(clean)) {
    const instance = parseWhole(clean, 0, MOST_INSTANCE, 'an instance');
    if (!instance.ok) return refused(instance);
  }
  const next = { ...end.references, [field]: clean };
  if (clean === '') delete next[field];
  return changed(set('end', end, ['references'], Object.keys(next).length === 0 ? null : next));
}
