import type { Rule } from './rule.js';
import { addressTwice } from './rules/adr/adr-1-address-twice.js';
import { malformedAddress } from './rules/adr/adr-2-malformed.js';
import { specialAddressUsed } from './rules/adr/adr-3-special-address.js';
import { masksDiffer } from './rules/adr/adr-4-masks-differ.js';
import { gatewayOutside } from './rules/adr/adr-5-gateway.js';
import { noWayBetween } from './rules/adr/adr-6-no-way.js';
import { subnetsOverlap } from './rules/adr/adr-7-subnets-overlap.js';
import { numberTwice } from './rules/adr/adr-8-number-twice.js';
import { outOfRange } from './rules/adr/adr-9-out-of-range.js';
import { notYetSet } from './rules/adr/adr-10-not-yet-set.js';
import { nodeTwice } from './rules/adr/adr-11-node-twice.js';
import { tcpPort } from './rules/adr/adr-12-tcp-port.js';
import { toldNotTrue } from './rules/adr/adr-13-told-not-true.js';
import { lastOctet } from './rules/adr/adr-14-last-octet.js';
import { hardwareTwice } from './rules/adr/adr-15-hardware-twice.js';
import { deviceName } from './rules/adr/adr-16-device-name.js';
import { serviceThroughIo } from './rules/adr/adr-17-service-through-io.js';
import { notInForce } from './rules/adr/adr-18-not-in-force.js';
import { lineSettings } from './rules/lin/lin-1-line-settings.js';
import { electrical } from './rules/lin/lin-2-electrical.js';
import { unitLoads } from './rules/lin/lin-3-unit-loads.js';
import { callers } from './rules/lin/lin-4-callers.js';
import { busSettings } from './rules/lin/lin-5-bus-settings.js';
import { framing } from './rules/lin/lin-6-framing.js';
import { portOff } from './rules/lin/lin-7-port-off.js';
import { radioNetwork } from './rules/lin/lin-8-radio.js';
import { notSpoken } from './rules/lin/lin-9-not-spoken.js';
import { slotTwice } from './rules/hws/hws-1-slot-twice.js';
import { slotOutside } from './rules/hws/hws-2-slot-outside.js';
import { slotGap } from './rules/hws/hws-3-gap.js';
import { wrongPlace } from './rules/hws/hws-4-wrong-place.js';
import { revision } from './rules/hws/hws-5-revision.js';
import { widened } from './rules/hws/hws-6-widened.js';
import { orderCode } from './rules/hws/hws-7-order-code.js';
import { firmware } from './rules/hws/hws-8-firmware.js';
import { imagesOverlap } from './rules/hws/hws-9-images-overlap.js';
import { description } from './rules/hws/hws-10-description.js';
import { textTooLong } from './rules/siz/siz-7-text-too-long.js';
import { moreThanUsed } from './rules/siz/siz-10-more-than-used.js';
import { misaligned } from './rules/pos/pos-4-misaligned.js';
import { structureElsewhere } from './rules/pos/pos-7-structure.js';
import { unitsDiffer } from './rules/typ/typ-8-units-differ.js';
import { forbidden } from './rules/dir/dir-8-forbidden.js';
import { notWatched } from './rules/dir/dir-10-not-watched.js';
import { statusWritable } from './rules/dir/dir-11-status-writable.js';
import { startIncomplete } from './rules/dir/dir-12-start.js';
import { networkFull } from './rules/tim/tim-4-network-load.js';
import { tooOld } from './rules/tim/tim-5-too-old.js';
import { signalMissed } from './rules/tim/tim-6-signal-missed.js';
import { closedWhileQuiet } from './rules/tim/tim-7-quiet.js';
import { cadenceNotPossible } from './rules/tim/tim-8-cadence-steps.js';
import { triggerLeavesGap } from './rules/tim/tim-9-trigger.js';
import { notOpen } from './rules/dir/dir-3-not-open.js';
import { notPaired } from './rules/dir/dir-7-not-paired.js';
import { onLoss } from './rules/dir/dir-9-on-loss.js';
import { couplerSides } from './rules/dir/dir-13-coupler-sides.js';
import { overLimit } from './rules/siz/siz-5-over-limit.js';
import { cadenceTooShort } from './rules/tim/tim-1-cadence-too-short.js';
import { passTooLong } from './rules/tim/tim-3-pass-too-long.js';
import { timeoutTooShort } from './rules/tim/tim-2-timeout.js';
import { lengthDiffers } from './rules/siz/siz-1-length-differs.js';
import { arrayDiffers } from './rules/siz/siz-2-array-differs.js';
import { itemBeyondLane } from './rules/siz/siz-3-item-beyond-lane.js';
import { beyondArea } from './rules/siz/siz-4-beyond-area.js';
import { textCapacity } from './rules/siz/siz-6-text-capacity.js';
import { oddBytes } from './rules/siz/siz-8-odd-bytes.js';
import { otherUnits } from './rules/siz/siz-9-other-units.js';
import { notWhereRead } from './rules/pos/pos-1-not-where-read.js';
import { twoWriters } from './rules/pos/pos-2-two-writers.js';
import { reservedRange } from './rules/pos/pos-3-reserved.js';
import { readNotWritten } from './rules/pos/pos-5-read-not-written.js';
import { writtenNotRead } from './rules/pos/pos-6-written-not-read.js';
import { allShifted } from './rules/pos/pos-8-all-shifted.js';
import { lanesOverlap } from './rules/pos/pos-9-lanes-overlap.js';
import { outsideTable } from './rules/pos/pos-11-outside-table.js';
import { keptAsTyped } from './rules/pos/pos-12-kept-as-typed.js';
import { incomplete } from './rules/pos/pos-13-incomplete.js';
import { widthDiffers } from './rules/typ/typ-1-width-differs.js';
import { familyDiffers } from './rules/typ/typ-2-family-differs.js';
import { byteOrder } from './rules/typ/typ-3-byte-order.js';
import { wrongSwap } from './rules/typ/typ-4-wrong-swap.js';
import { registerOrder } from './rules/typ/typ-5-register-order.js';
import { boolPacking } from './rules/typ/typ-6-bool-packing.js';
import { members } from './rules/typ/typ-9-members.js';
import { registersOverlap } from './rules/typ/typ-10-registers-overlap.js';
import { sameDirection } from './rules/dir/dir-1-same-direction.js';
import { readOnly } from './rules/dir/dir-2-read-only.js';
import { twoOwners } from './rules/dir/dir-4-two-owners.js';
import { notItsOwn } from './rules/dir/dir-5-not-its-own.js';
import { bothWait } from './rules/dir/dir-6-both-wait.js';
import { nameMissing } from './rules/nam/nam-1-name-missing.js';
import { nameTwice } from './rules/nam/nam-2-name-twice.js';
import { nameNotLegal } from './rules/nam/nam-3-not-legal.js';
import { connections } from './rules/cap/cap-1-connections.js';
import { bytes } from './rules/cap/cap-2-bytes.js';
import { nodes } from './rules/cap/cap-3-nodes.js';
import { noSupplier } from './rules/doc/doc-1-no-supplier.js';
import { acceptanceIncomplete } from './rules/doc/doc-2-acceptance-incomplete.js';
import { openAccess } from './rules/doc/doc-5-open-access.js';
import { nameNotFound } from './rules/nam/nam-4-not-found.js';
import { seriesHole } from './rules/nam/nam-5-series.js';
import { notBound } from './rules/nam/nam-6-not-bound.js';
import { aliases } from './rules/nam/nam-7-alias.js';
import { itemTexts } from './rules/nam/nam-8-item-text.js';
import { seriesCount } from './rules/siz/siz-11-series-count.js';
import { startContent } from './rules/siz/siz-12-start-content.js';
import { tagsAtOneAddress } from './rules/pos/pos-10-tags-at-one-address.js';
import { polarity } from './rules/typ/typ-7-polarity.js';
import { unusualTable } from './rules/typ/typ-11-unusual-table.js';
import { memoryContradicts } from './rules/typ/typ-12-memory-contradicts.js';
import { tagsAndDrivers } from './rules/cap/cap-4-tags.js';
import { noRoute } from './rules/rou/rou-1-no-route.js';
import { hopNotReady } from './rules/rou/rou-2-port-not-ready.js';
import { notPassed } from './rules/rou/rou-3-not-passed.js';
import { backplaneHop } from './rules/rou/rou-4-backplane.js';
import { noCpuThere } from './rules/rou/rou-5-no-cpu.js';
import { ownPortChosen } from './rules/rou/rou-6-own-port.js';
import { twoAsGood } from './rules/rou/rou-7-two-as-good.js';
import { textWrong } from './rules/rou/rou-8-text-wrong.js';
import { noWayBack } from './rules/rou/rou-9-no-way-back.js';
import { helperObject } from './rules/rou/rou-10-helper.js';
import { expectationHeld } from './rules/rou/rou-11-expectation.js';
import { leftIn } from './rules/doc/doc-6-left-in.js';
import { ownList } from './rules/doc/doc-7-own-list.js';
import { olderThanSource } from './rules/doc/doc-4-older-than-source.js';

/** Every rule, by code. A new rule is a new file, a line above and one below. */
export const RULES: readonly Rule[] = [
  addressTwice,
  malformedAddress,
  specialAddressUsed,
  masksDiffer,
  gatewayOutside,
  noWayBetween,
  subnetsOverlap,
  numberTwice,
  outOfRange,
  notYetSet,
  nodeTwice,
  tcpPort,
  toldNotTrue,
  lastOctet,
  hardwareTwice,
  deviceName,
  serviceThroughIo,
  notInForce,
  lineSettings,
  electrical,
  unitLoads,
  callers,
  busSettings,
  framing,
  portOff,
  radioNetwork,
  notSpoken,
  slotTwice,
  slotOutside,
  slotGap,
  wrongPlace,
  revision,
  widened,
  orderCode,
  firmware,
  imagesOverlap,
  description,
  lengthDiffers,
  arrayDiffers,
  itemBeyondLane,
  beyondArea,
  overLimit,
  textCapacity,
  textTooLong,
  oddBytes,
  otherUnits,
  moreThanUsed,
  seriesCount,
  startContent,
  notWhereRead,
  twoWriters,
  reservedRange,
  misaligned,
  readNotWritten,
  writtenNotRead,
  structureElsewhere,
  allShifted,
  lanesOverlap,
  tagsAtOneAddress,
  outsideTable,
  keptAsTyped,
  incomplete,
  widthDiffers,
  familyDiffers,
  byteOrder,
  wrongSwap,
  registerOrder,
  boolPacking,
  polarity,
  unitsDiffer,
  members,
  registersOverlap,
  unusualTable,
  memoryContradicts,
  sameDirection,
  readOnly,
  notOpen,
  twoOwners,
  notItsOwn,
  bothWait,
  notPaired,
  forbidden,
  onLoss,
  notWatched,
  statusWritable,
  startIncomplete,
  couplerSides,
  nameMissing,
  nameTwice,
  nameNotLegal,
  nameNotFound,
  seriesHole,
  notBound,
  aliases,
  itemTexts,
  cadenceTooShort,
  timeoutTooShort,
  passTooLong,
  networkFull,
  tooOld,
  signalMissed,
  closedWhileQuiet,
  cadenceNotPossible,
  triggerLeavesGap,
  connections,
  bytes,
  nodes,
  tagsAndDrivers,
  noSupplier,
  acceptanceIncomplete,
  olderThanSource,
  openAccess,
  noRoute,
  hopNotReady,
  notPassed,
  backplaneHop,
  noCpuThere,
  ownPortChosen,
  twoAsGood,
  textWrong,
  noWayBack,
  helperObject,
  expectationHeld,
  leftIn,
  ownList,
];
