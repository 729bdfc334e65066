import { set } from '../change/make.js';
import type { Lane } from '../model/lane.js';
import { parseTime } from '../time/parse-time.js';
import { changed, refused, type FieldEdit } from '../station/field-edit.js';

/** Typed text into what a lane is allowed or has to catch, in ms; empty takes it out. */
export function editLane(lane: Lane, field: 'mostAge' | 'shortest', text: string): FieldEdit {
  const clean = text.trim();
  if (clean === '') return changed(set('lane', lane, [field], null));
  const time = parseTime(clean, field === 'mostAge' ? 'an age' : 'the length of a signal');
  return time.ok ? changed(set('lane', lane, [field], time.value)) : refused(time);
}
