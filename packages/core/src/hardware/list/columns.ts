import type { TextTable } from '../../formats/text-table.js';

export const LIST_COLUMNS = [
  'station',
  'slot',
  'quantity',
  'order code',
  'description',
  'revision',
  'inputs',
  'outputs',
  'rotary switch',
  'read in',
  'owner',
  'accepts',
  'input address',
  'output address',
] as const;
export type ListColumn = (typeof LIST_COLUMNS)[number];

/** Which cell of a row holds what; what is missing is not in the list. */
export type ColumnChoice = Partial<Record<ListColumn, number>>;

/** Words of headings, in several languages of the trade; the first that fits decides. */
const HEADINGS: Record<ListColumn, RegExp> = {
  'order code':
    /^(order|ordering|article|art|part|catalog(ue)?|material|item|bestell|artikel|réf|ref|codigo)[\s._-]*(code|number|no|nr|num|nummer|érence|erence)?\.?$|^(bestellnummer|artikelnummer|référence|mlfb|sku)$/i,
  quantity: /^(quantity|qty|count|number|pieces|pcs|menge|stück|stk|anzahl|quantité|qté|cantidad)\.?$/i,
  description: /^(description|designation|name|text|type|module|bezeichnung|benennung|désignation|descripción)$/i,
  station: /^(station|location|device|cabinet|rack|place|node|gerät|ort|standort|emplacement|anlage)$/i,
  slot: /^(slot|position|pos|place|steckplatz|platz|emplacement n°)\.?$/i,
  revision: /^(revision|rev|version|firmware|fw|ausgabestand|stand|indice)\.?$/i,
  'rotary switch': /^(rotary( switch)?|dial|switch(es)?|coding switch|drehschalter)$/i,
  'read in': /^(read in|read back|as read|read)$/i,
  owner: /^(owner|owned by|controlled by|master)$/i,
  accepts: /^(accepts|accepted|accepted revisions?)$/i,
  'input address': /^(input address(es)?|inputs? at|in at|eingangsadresse)$/i,
  'output address': /^(output address(es)?|outputs? at|out at|ausgangsadresse)$/i,
  inputs: /^(inputs?|in|input bytes|bytes in|eingänge|eingangsbytes)$/i,
  outputs: /^(outputs?|out|output bytes|bytes out|ausgänge|ausgangsbytes)$/i,
};

export interface Recognised {
  /** index of the row of headings among the rows */
  heading: number;
  columns: ColumnChoice;
  headings: readonly string[];
}

/** The row of headings, among the first ten: the one in which most columns are recognised. Null where none has two. */
export function recogniseColumns(table: TextTable): Recognised | null {
  let best: Recognised | null = null;
  table.rows.slice(0, 10).forEach((row, heading) => {
    const cells = row.map((cell) => cell.trim());
    const columns: ColumnChoice = {};
    for (const column of LIST_COLUMNS) {
      const at = cells.findIndex((cell, i) => HEADINGS[column].test(cell) && !Object.values(columns).includes(i));
      if (at >= 0) columns[column] = at;
    }
    const count = Object.keys(columns).length;
    if (count >= 2 && count > Object.keys(best?.columns ?? {}).length) best = { heading, columns, headings: cells };
  });
  return best;
}
