import type { TagColumn } from '@dialoga/core/fields';
import { ACCESSES, OPENNESS, PANEL_ELEMENTS, POLARITIES, SIGNAL_KINDS, type Tag } from '@dialoga/core/model';
import { panelElementsFor } from '@dialoga/core/tags';
import type { GridColumn } from '../grid/types';

export type ShownColumn = TagColumn | 'bound' | 'from';

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

const COLUMNS: Record<ShownColumn, Omit<GridColumn, 'id'>> = {
  name: { title: 'Tag', names: true, fills: 'series', track: 'minmax(170px, 1.4fr)' },
  group: { title: 'Group', names: true, track: '84px' },
  type: { title: 'Type', track: '120px' },
  place: { title: 'Address', track: '110px' },
  asks: { title: 'Refers to', names: true, track: 'minmax(120px, 0.9fr)' },
  access: { title: 'Access', track: '104px' },
  open: { title: 'Access from others', track: '116px' },
  program: { title: 'Program', track: '72px' },
  unit: { title: 'Unit', track: '80px' },
  scaling: { title: 'Scaling', track: '150px' },
  polarity: { title: 'Polarity', track: '124px' },
  signal: { title: 'Signal', track: '106px' },
  element: { title: 'Element', track: '124px' },
  alias: { title: 'Alias', names: true, track: 'minmax(120px, 1fr)' },
  lastWord: { title: 'Priority on conflict', names: true, track: '136px' },
  required: { title: 'Required', track: '76px' },
  internal: { title: 'Internal', track: '76px' },
  notUsed: { title: 'Not used, because', names: true, track: 'minmax(140px, 1fr)' },
  bound: { title: 'Bound to', names: true, track: 'minmax(150px, 1.2fr)' },
  from: { title: 'From', names: true, track: '140px' },
  comment: { title: 'Comment', names: true, track: 'minmax(120px, 1fr)' },
};

export const gridColumns = (set: ColumnSet): GridColumn[] => COLUMN_SETS[set].map((id) => ({ id, ...COLUMNS[id] }));

const YES_NO = ['yes', 'no'];

/** What may be typed into a column of this tag. */
export function optionsOf(column: ShownColumn, tag: Tag): readonly string[] | undefined {
  switch (column) {
    case 'access':
      return ACCESSES;
    case 'open':
      return OPENNESS;
    case 'polarity':
      return POLARITIES;
    case 'signal':
      return SIGNAL_KINDS;
    case 'element': {
      const suiting = panelElementsFor(tag);
      return suiting.length > 0 ? suiting : PANEL_ELEMENTS;
    }
    case 'required':
    case 'internal':
      return YES_NO;
    default:
      return undefined;
  }
}
