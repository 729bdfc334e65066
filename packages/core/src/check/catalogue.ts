import type { Rule } from './rule.js';
import { addressTwice } from './rules/adr/adr-1-address-twice.js';
import { tcpPort } from './rules/adr/adr-12-tcp-port.js';
import { toldNotTrue } from './rules/adr/adr-13-told-not-true.js';
import { malformedAddress } from './rules/adr/adr-2-malformed.js';
import { noWayBetween } from './rules/adr/adr-6-no-way.js';
import { readOnly } from './rules/dir/dir-2-read-only.js';
import { notSpoken } from './rules/lin/lin-9-not-spoken.js';
import { sameDirection } from './rules/dir/dir-1-same-direction.js';
import { bothWait } from './rules/dir/dir-6-both-wait.js';
import { acceptanceIncomplete } from './rules/doc/doc-2-acceptance-incomplete.js';
import { nameMissing } from './rules/nam/nam-1-name-missing.js';
import { nameTwice } from './rules/nam/nam-2-name-twice.js';
import { outsideTable } from './rules/pos/pos-11-outside-table.js';
import { notWhereRead } from './rules/pos/pos-1-not-where-read.js';
import { keptAsTyped } from './rules/pos/pos-12-kept-as-typed.js';
import { incomplete } from './rules/pos/pos-13-incomplete.js';
import { allShifted } from './rules/pos/pos-8-all-shifted.js';
import { lanesOverlap } from './rules/pos/pos-9-lanes-overlap.js';
import { twoWriters } from './rules/pos/pos-2-two-writers.js';
import { reservedRange } from './rules/pos/pos-3-reserved.js';
import { readNotWritten } from './rules/pos/pos-5-read-not-written.js';
import { writtenNotRead } from './rules/pos/pos-6-written-not-read.js';
import { lengthDiffers } from './rules/siz/siz-1-length-differs.js';
import { arrayDiffers } from './rules/siz/siz-2-array-differs.js';
import { itemBeyondLane } from './rules/siz/siz-3-item-beyond-lane.js';
import { beyondArea } from './rules/siz/siz-4-beyond-area.js';
import { oddBytes } from './rules/siz/siz-8-odd-bytes.js';
import { otherUnits } from './rules/siz/siz-9-other-units.js';
import { widthDiffers } from './rules/typ/typ-1-width-differs.js';
import { familyDiffers } from './rules/typ/typ-2-family-differs.js';
import { byteOrder } from './rules/typ/typ-3-byte-order.js';
import { wrongSwap } from './rules/typ/typ-4-wrong-swap.js';
import { registerOrder } from './rules/typ/typ-5-register-order.js';
import { boolPacking } from './rules/typ/typ-6-bool-packing.js';
import { registersOverlap } from './rules/typ/typ-10-registers-overlap.js';
import { members } from './rules/typ/typ-9-members.js';

import { specialAddressUsed } from './rules/adr/adr-3-special-address.js';
import { masksDiffer } from './rules/adr/adr-4-masks-differ.js';
import { gatewayOutside } from './rules/adr/adr-5-gateway.js';
import { textCapacity } from './rules/siz/siz-6-text-capacity.js';
import { nameNotLegal } from './rules/nam/nam-3-not-legal.js';

/** Every rule. A new rule is a new file and a line here. */
export const RULES: readonly Rule[] = [
  addressTwice,
  malformedAddress,
  specialAddressUsed,
  masksDiffer,
  gatewayOutside,
  noWayBetween,
  tcpPort,
  toldNotTrue,
  notSpoken,
  lengthDiffers,
  arrayDiffers,
  itemBeyondLane,
  beyondArea,
  textCapacity,
  oddBytes,
  otherUnits,
  notWhereRead,
  twoWriters,
  reservedRange,
  readNotWritten,
  writtenNotRead,
  allShifted,
  lanesOverlap,
  outsideTable,
  keptAsTyped,
  incomplete,
  widthDiffers,
  familyDiffers,
  byteOrder,
  wrongSwap,
  registerOrder,
  boolPacking,
  members,
  registersOverlap,
  sameDirection,
  readOnly,
  bothWait,
  nameMissing,
  nameTwice,
  nameNotLegal,
  acceptanceIncomplete,
];
