import { EXCHANGE_SLIPS } from './exchange-slips.testing.js';
import { HARDWARE_SLIPS } from './hardware-slips.testing.js';
import { PLACE_SLIPS } from './place-slips.testing.js';
import { ROUTE_SLIPS } from './route-slips.testing.js';
import type { SlipKind } from './slip.testing.js';
import { TAG_SLIPS } from './tag-slips.testing.js';
import { TOLD_SLIPS } from './told-slips.testing.js';
import { VALUE_SLIPS } from './value-slips.testing.js';
import { WIRING_SLIPS } from './wiring-slips.testing.js';

/** Every kind of slip, by its name. */
export const SLIPS: Readonly<Record<string, SlipKind>> = {
  ...TOLD_SLIPS,
  ...WIRING_SLIPS,
  ...PLACE_SLIPS,
  ...VALUE_SLIPS,
  ...TAG_SLIPS,
  ...HARDWARE_SLIPS,
  ...EXCHANGE_SLIPS,
  ...ROUTE_SLIPS,
};
