import type { TextTable } from './text-table.js';

export const DECIMALS = ['point', 'comma'] as const;
export type Decimal = (typeof DECIMALS)[number];

/** The decimal sign of a table: the one that stands in more of its first numbers; a point where none has any. */
export function decimalOf(table: TextTable): Decimal {
  let commas = 0;
  let points = 0;
  for (const cells of table.rows.slice(0, 200)) {
    for (const cell of cells) {
      if (/(^|[\s=–-])\d+,\d+([\s=–-]|$)/.test(cell)) commas++;
      else if (/(^|[\s=–-])\d+\.\d+([\s=–-]|$)/.test(cell)) points++;
    }
  }
  return commas > points ? 'comma' : 'point';
}

/** The numbers of a text written with a point, whatever their sign was; marks between thousands are left out. */
export const withPoint = (text: string, decimal: Decimal): string =>
  decimal === 'comma'
    ? text.replace(/(\d)\.(?=\d{3}(\D|$))/g, '$1').replace(/(\d),(?=\d)/g, '$1.')
    : text.replace(/(\d),(?=\d{3}(\D|$))/g, '$1');
