import { EXCHANGE_KINDS, OPENNESS, TRIGGERS, type ExchangeKind } from '../model/words.js';

/** What stands on the second line under a column. */
export type SecondLineColumn = 'told' | 'station' | 'layout' | 'header' | 'swap' | 'slot' | 'open' | 'trigger';

/** A field of the two-ended sheet: of a lane, of its values, or of the line under a lane. */
interface SheetField {
  title: string;
  /** the field of a claim that it shows, as findings and links name it */
  path: string;
  help: string;
  /** texts that it takes; each is tried */
  examples: readonly string[];
  options?: readonly string[];
}

interface SheetColumnField extends SheetField {
  /** the field of a value; null: it follows from the lane */
  ofValue: string | null;
  /** its title on paper, where there is less room */
  short?: string;
  mono?: boolean;
  right?: boolean;
  /** words that head it in people's lists */
  headings: readonly string[];
  /** what stands under it */
  under: SecondLineColumn | null;
}

/** The columns of both pages, in this order on both; of a value the area is its unit of measure. */
const COLUMNS = {
  name: {
    headings: ['name', 'tag', 'symbol', 'variable', 'signal', 'item'],
    title: 'Tag',
    path: 'name',
    ofValue: 'name',
    under: 'slot',
    examples: ['Pump_Duty'],
    help: 'What this end calls the block, or the value in it.',
  },
  direction: {
    headings: ['direction', 'writes/reads', 'in/out', 'r/w'],
    title: 'Writes or reads',
    short: 'Does',
    path: 'direction',
    ofValue: null,
    under: 'open',
    examples: ['writes', 'r', 'both'],
    options: ['writes', 'reads', 'both'],
    help: 'Whether this end puts the data there, takes it, or both.',
  },
  area: {
    headings: ['area', 'region'],
    title: 'Area, unit',
    short: 'Area',
    path: 'place',
    ofValue: 'unit',
    under: 'layout',
    examples: [],
    help: 'The memory that the address lies in; of a value, what its number counts: bar, 0.1 °C.',
  },
  address: {
    headings: ['address', 'register', 'reg', 'reference', 'location', 'offset'],
    title: 'Address',
    mono: true,
    path: 'place',
    ofValue: 'offset',
    under: 'told',
    examples: ['%MW300', '%MX300.0'],
    help: 'Where it begins, as this station writes addresses; or the name of a tag.',
  },
  length: {
    headings: ['length', 'size', 'words', 'count'],
    title: 'Length',
    mono: true,
    right: true,
    path: 'length',
    ofValue: null,
    under: 'header',
    examples: ['6', '6 words', '12 bytes'],
    help: 'How long the block is; a number alone counts units of its address.',
  },
  type: {
    headings: ['type', 'data type', 'datatype', 'format'],
    title: 'Type',
    mono: true,
    path: 'type',
    ofValue: 'type',
    under: 'swap',
    examples: ['REAL', 'ARRAY [0..2] OF INT', 'INT ×3'],
    help: 'An elementary type of IEC 61131-3, an array of one, or a structure of the project.',
  },
} as const satisfies Record<string, SheetColumnField>;

export type SheetColumn = keyof typeof COLUMNS;
export const SHEET_FIELDS: Readonly<Record<SheetColumn, SheetColumnField>> = COLUMNS;
export const SHEET_COLUMNS = Object.keys(COLUMNS) as readonly SheetColumn[];

/**
 * What stands under a lane: under its name the slot of a coupler, or else what moves it; under what it does, whom it asks
 * in the rows of a tag map, or else whether it is open to others.
 */
export const SECOND_FIELDS: Readonly<Record<SecondLineColumn, SheetField>> = {
  slot: { title: 'Slot', path: 'slot', help: 'The slot of the coupler on this end’s side.', examples: ['2'] },
  trigger: {
    title: 'Trigger',
    path: 'trigger',
    examples: [TRIGGERS[0]],
    options: TRIGGERS,
    help: 'What moves it, in place of the exchange’s cadence.',
  },
  open: {
    title: 'Access from others',
    path: 'open',
    examples: [OPENNESS[0]],
    options: OPENNESS,
    help: 'Of data that is offered by name: whether others may use it.',
  },
  told: {
    title: 'Partner’s address',
    path: 'toldPlace',
    examples: ['w1264'],
    help: 'The other end’s place as it was entered here.',
  },
  station: {
    title: 'Station asked',
    path: 'toldStation',
    examples: ['10.8.2.57:502/57'],
    help: 'The station that this row asks, where each row says it: address, TCP port and unit.',
  },
  layout: {
    title: 'Layout of this block',
    path: 'layout',
    examples: ['low byte first', 'low register first, a BOOL per word'],
    help: 'How this block lies in memory, where that is not as everywhere at its station.',
  },
  header: {
    title: 'Header',
    path: 'header',
    examples: ['1 word', '2 bytes'],
    help: 'What stands before the payload; it is counted in the length.',
  },
  swap: {
    title: 'Swap',
    path: 'swap',
    examples: ['bytes swapped'],
    help: 'What this end swaps, in place of what its end swaps everywhere.',
  },
};

/** What stands under a column in an exchange of a kind. */
export function underColumn(column: SheetColumn, kind: ExchangeKind): SecondLineColumn | null {
  if (column === 'name' && kind !== 'coupler area') return 'trigger';
  return column === 'direction' && kind === 'tag map' ? 'station' : SHEET_FIELDS[column].under;
}

/** The column that shows a field of a claim, and whether on its second line; null where none does. */
export function columnOf(path: string): { column: SheetColumn; second: boolean } | null {
  // An area follows from the address: what is wrong with a place stands there.
  const column = [...SHEET_COLUMNS].reverse().find((one) => SHEET_FIELDS[one].path === path);
  if (column) return { column, second: false };
  const under = (Object.keys(SECOND_FIELDS) as SecondLineColumn[]).find((one) => SECOND_FIELDS[one].path === path);
  const above = SHEET_COLUMNS.find((one) => EXCHANGE_KINDS.some((kind) => under && under === underColumn(one, kind)));
  return above ? { column: above, second: true } : null;
}

/** The column that shows a field of a value. */
export const columnOfValue = (path: string): SheetColumn => SHEET_COLUMNS.find((one) => SHEET_FIELDS[one].ofValue === path) ?? 'name';
