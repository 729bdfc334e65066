import type { LayoutRule } from './layout-rule.js';

export type FullLayout = Required<LayoutRule>;

/** What is assumed where nobody states anything; it is shown as such. */
export const ASSUMED_LAYOUT: FullLayout = {
  byteOrder: 'high first',
  registerOrder: 'high first',
  boolPacking: 'bit',
  boolNumbering: 'from the bottom',
  stringHeader: 'none',
  characters: 'byte',
  alignment: '2',
};
