import type { Profile } from '../model/profile.js';
import { ASSUMED } from '../model/words.js';
import { beginning, ETHERNET } from './beginnings.js';

/** What people look at. */
export const SCREENS: Profile[] = [
  {
    id: 'profile-panel',
    order: 30,
    name: 'Operator panel',
    layout: {
      byteOrder: 'high first',
      registerOrder: 'high first',
      boolPacking: 'bit',
      boolNumbering: 'from the bottom',
    },
    views: {},
    begins: beginning('operator panel', [['Ethernet', 'ethernet', 'panel']]),
    limits: { tags: { value: 500, source: ASSUMED } },
    afterLoad: { does: 'starts by itself', source: ASSUMED },
    nameRule: { longest: 40, caseMatters: false, source: ASSUMED },
    words: {},
  },
  {
    id: 'profile-scada',
    order: 40,
    name: 'SCADA station with a tag server',
    layout: {
      byteOrder: 'low first',
      registerOrder: 'low first',
      boolPacking: 'byte',
      boolNumbering: 'from the bottom',
    },
    views: {},
    begins: beginning('SCADA station', [ETHERNET]),
    limits: { tags: { value: 5000, source: ASSUMED } },
    nameRule: { longest: 64, caseMatters: true, source: ASSUMED },
    words: {},
  },
];
