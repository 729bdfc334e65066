import type { TAG } from '@dialoga/core/fields';

export type ShownColumn = keyof typeof TAG.fields;

/** Which columns stand side by side: all of them would not fit. */
export const COLUMN_SETS = {
  places: ['name', 'group', 'type', 'place', 'asks', 'access', 'open', 'program', 'bound', 'comment'],
  meaning: ['name', 'type', 'unit', 'scaling', 'polarity', 'signal', 'element', 'alias', 'comment'],
  use: ['name', 'access', 'lastWord', 'required', 'internal', 'notUsed', 'bound', 'from', 'comment'],
} as const satisfies Record<string, readonly ShownColumn[]>;
export type ColumnSet = keyof typeof COLUMN_SETS;

export const SET_WORDS: Record<ColumnSet, string> = {
  places: 'Places',
  meaning: 'Meaning',
  use: 'Use',
};
