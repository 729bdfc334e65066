import type { Lane } from '../model/lane.js';
import { BINDINGS, POLARITIES } from '../model/words.js';
import { refused } from '../text/field-edit.js';
import { parseTime } from '../text/parse-time.js';
import { entityRows, type Field } from './field.js';
import { ofEntity } from './simple-fields.js';

const { chosen, put } = ofEntity('lane');

const time = (field: 'mostAge' | 'shortest', title: string, what: string, help: string): Field<Lane> => ({
  title,
  width: 110,
  help,
  examples: ['500 ms', '2 s'],
  text: (lane) => (typeof lane[field] === 'number' ? `${lane[field]} ms` : ''),
  edit: (lane, typed) => {
    if (typed === '') return put(lane, field, null);
    const read = parseTime(typed, what);
    return read.ok ? put(lane, field, read.value) : refused(read);
  },
});

/** What a lane is allowed or has to catch, by what it is bound, and what its contact is. */
export const LANE = entityRows('lane', 'lane', {
  mostAge: time('mostAge', 'May be old by', 'an age', 'How old a value may be where it is used, at most.'),
  shortest: time('shortest', 'Shortest signal', 'the length of a signal', 'The shortest signal that must not be missed.'),
  binding: {
    title: 'Bound',
    width: 110,
    ...chosen('binding', BINDINGS, 'binding', null),
    examples: [BINDINGS[0]],
    help: 'By what its two ends find each other’s data, in place of the exchange’s.',
  },
  contact: {
    title: 'Contact',
    width: 110,
    ...chosen('contact', POLARITIES, 'polarity', null),
    examples: [POLARITIES[0]],
    help: 'Of a signal that a contact of the plant gives: what it is at rest.',
  },
});
