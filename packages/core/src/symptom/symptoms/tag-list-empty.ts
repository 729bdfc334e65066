import type { Symptom } from '../symptom.js';

export const tagListEmpty: Symptom = {
  id: 'tag-list-empty',
  words: 'The list of tags is empty',
  also: ['no tags found', 'nothing to browse', 'empty tag list', 'tags do not appear'],
  source: 'common practice',
  causes: [
    {
      says: 'The path stops at the backplane, or leads to a slot without a CPU',
      codes: ['ROU 4', 'ROU 5', 'ROU 8'],
      tell: 'With the hop through the backplane, and the slot of the CPU, the list comes.',
      look: 'Routes, the stated text',
    },
    {
      says: 'The path does not lead there',
      codes: ['ROU 1', 'ROU 2', 'ROU 3', 'ROU 9'],
      tell: 'The station itself does not answer either.',
      look: 'Routes',
    },
    {
      says: 'Nothing is open to others, or the tags are those of a program',
      codes: ['DIR 3', 'DIR 8'],
      tell: 'With one tag opened, that one is in the list.',
      look: 'Tags of the answering station',
    },
    {
      says: 'Another station is asked',
      codes: ['ADR 13', 'ADR 1'],
      tell: 'Its own page has another name than is meant.',
      look: 'the heads of the exchange',
    },
  ],
};
