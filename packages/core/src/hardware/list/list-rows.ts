import type { ModuleKind, Role } from '../../model/words.js';
import type { ColumnChoice, ListColumn } from './columns.js';
import type { TextTable } from '../../formats/text-table.js';

/** One row of the list, read. */
export interface ListRow {
  line: number;
  station: string;
  /** null: none is given */
  slot: number | null;
  quantity: number;
  orderCode: string;
  description: string;
  revision: string;
  kind: ModuleKind;
  inputs: number | null;
  outputs: number | null;
  /** what its rotary switch is set to; empty: it has none */
  dial: string;
  /** whether that was read in; null: not said */
  dialRead: boolean | null;
  /** whose it is, the revisions that one accepts, and where it lands there, as written; empty: not said */
  owner: string;
  accepts: string;
  inputsAt: string;
  outputsAt: string;
  /** slots of the rack that the row is; null: it is none, or does not say */
  slots: number | null;
  /** what kind of station the row is, where it is one itself and no module */
  is: Role | null;
  /** why it is no module; null: it is one */
  aside: string | null;
  /** what is wrong with it, and what would be right */
  fault: string | null;
}

const THE_RACK = 'the rack itself';

const NO_MODULES: readonly (readonly [RegExp, string])[] = [
  [/\brails?\b|hutschiene|profilschiene/i, 'a rail'],
  [/\bcables?\b|\bcords?\b|kabel|leitung/i, 'a cable'],
  [/power suppl|\bpsu\b|netzteil|stromversorgung|alimentation/i, 'a power supply'],
  [/\bterminals?\b|klemme|connector|stecker|bus cover|end cover/i, 'a terminal or connector'],
  [/\blabels?\b|\bscrews?\b|marking|beschriftung|schraube/i, 'small parts'],
  [/\bracks?\b|\bbackplane\b|baugruppenträger|base plate/i, THE_RACK],
  [/licen[cs]e|software/i, 'software'],
];

/** Rows that are a station themselves. */
const STATIONS: readonly (readonly [RegExp, Role])[] = [
  [/operator panel|touch panel|\bhmi\b|bedienfeld/i, 'operator panel'],
  [/\bscada\b|panel pc|leitrechner/i, 'SCADA station'],
  [/workstation|laptop/i, 'workstation'],
];

const KINDS: readonly (readonly [RegExp, ModuleKind])[] = [
  [/\bcpu\b|processor|central unit/i, 'CPU'],
  [/\bhead\b|interface module|coupler|kopf/i, 'head'],
  [/digital.*\bin\b.*\bout\b|\bdio\b/i, 'digital input and output'],
  [/digital.*in|\bdi\b|\bdi[-\s]?\d/i, 'digital input'],
  [/digital.*out|\bdo\b|\bdo[-\s]?\d/i, 'digital output'],
  [/analog(ue)?.*in|\bai\b|\bai[-\s]?\d/i, 'analogue input'],
  [/analog(ue)?.*out|\bao\b|\bao[-\s]?\d/i, 'analogue output'],
  [/counter|zähler/i, 'counter'],
  [/ethernet|serial|communication|\bcp\b|kommunikation/i, 'communication'],
];

/** Every row after the headings that says something. Numbers may be written with a decimal comma or point, and thousands apart. */
export function listRows(table: TextTable, heading: number, columns: ColumnChoice): ListRow[] {
  let station = '';
  return table.rows.slice(heading + 1).flatMap((cells, i) => {
    if (cells.every((cell) => cell.trim() === '')) return [];
    const line = table.lines[heading + 1 + i]!;
    const text = (column: ListColumn) => (columns[column] === undefined ? '' : (cells[columns[column]] ?? '').trim());
    // Merged cells leave the station's name in its first row only.
    station = text('station') || station;
    const description = text('description');
    const orderCode = text('order code');
    const words = `${description} ${orderCode}`;
    const [quantity, slot] = [numberIn(text('quantity')), numberIn(text('slot'))];
    const is = STATIONS.find(([word]) => word.test(description))?.[1] ?? null;
    const aside = is ? 'a station itself' : (NO_MODULES.find(([word]) => word.test(description))?.[1] ?? null);
    const row: ListRow = {
      line,
      station,
      orderCode,
      description,
      revision: text('revision'),
      slot: typeof slot === 'number' && Number.isInteger(slot) ? slot : null,
      quantity: typeof quantity === 'number' ? quantity : 1,
      kind: KINDS.find(([word]) => word.test(words))?.[1] ?? 'other',
      inputs: wholeOrNull(text('inputs')),
      outputs: wholeOrNull(text('outputs')),
      dial: text('rotary switch'),
      dialRead: text('read in') === '' ? null : /^(y|yes|x|1|true|ja|oui)$/i.test(text('read in')),
      owner: text('owner'),
      accepts: text('accepts'),
      inputsAt: text('input address'),
      outputsAt: text('output address'),
      slots: aside === THE_RACK ? wholeOrNull(/(\d+)[\s-]*slots?\b/i.exec(description)?.[1] ?? '') : null,
      is,
      aside: aside ?? (description === '' && orderCode === '' ? 'it names nothing' : null),
      fault: null,
    };
    return row.aside === null ? { ...row, fault: faultOf(row, text('quantity'), quantity, text('slot'), slot) } : row;
  });
}

type Number_ = number | null | 'none';

function faultOf(
  row: ListRow,
  quantityText: string,
  quantity: Number_,
  slotText: string,
  slot: Number_,
): string | null {
  if (quantity === 'none') return `quantity “${quantityText}” is not a valid number; write a whole one, as 3`;
  if (quantity !== null && (!Number.isInteger(quantity) || quantity < 1 || quantity > 1000)) {
    return `quantity ${quantityText} cannot be; write a whole number from 1 to 1000`;
  }
  if (slot === 'none' || (slot !== null && (!Number.isInteger(slot) || slot < 0))) {
    return `slot “${slotText}” is not a valid slot; write a whole number`;
  }
  if (row.station === '') return 'no station is named; write its name in the station’s column';
  return null;
}

/** `1.234,5`, `1,234.5`, `3,0` and `3`; null: nothing is written; 'none': it is no number. */
export function numberIn(text: string): Number_ {
  const clean = text.replace(/[\s\u00A0\u202F']/g, '');
  if (clean === '') return null;
  const comma = clean.lastIndexOf(',') > clean.lastIndexOf('.');
  const plain = comma ? clean.replace(/\./g, '').replace(',', '.') : clean.replace(/,/g, '');
  return /^-?\d+(\.\d+)?$/.test(plain) ? Number(plain) : 'none';
}

function wholeOrNull(text: string): number | null {
  const number = numberIn(text);
  return typeof number === 'number' && Number.isInteger(number) && number >= 0 ? number : null;
}
