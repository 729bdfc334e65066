import { set } from '../change/make.js';
import type { Lane } from '../model/lane.js';
import { BINDINGS, POLARITIES } from '../model/words.js';
import { parseTime } from '../text/parse-time.js';
import { changed, parseWord, refused, type FieldEdit } from '../text/field-edit.js';

export type LaneField = 'mostAge' | 'shortest' | 'binding' | 'contact';

/** Typed text into what a lane is allowed or has to catch, by what it is bound, and what its contact is; empty takes it out. */
export function editLane(lane: Lane, field: LaneField, text: string): FieldEdit {
  const clean = text.trim();
  if (clean === '') return changed(set('lane', lane, [field], null));
  if (field === 'binding' || field === 'contact') {
    const word = field === 'binding' ? parseWord(clean, BINDINGS, 'binding') : parseWord(clean, POLARITIES, 'polarity');
    return word.ok ? changed(set('lane', lane, [field], word.value)) : refused(word);
  }
  const time = parseTime(clean, field === 'mostAge' ? 'an age' : 'the length of a signal');
  return time.ok ? changed(set('lane', lane, [field], time.value)) : refused(time);
}
