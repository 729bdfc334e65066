/** Typed text into the fields of each kind of entity: changes, or the sentence why the text cannot be taken. */
export {
  type AreaColumn,
  editArea,
  editReservation,
  editView,
  formatWritten,
  mayStartText,
  type ReservationColumn,
  type ViewColumn,
  writesTable,
} from './edit-area.js';
export { editAttachment } from './edit-attachment.js';
export { dropBlockMember, editBlockMember, type MemberColumn, memberText } from './edit-block-member.js';
export { type CopyColumn, copyUnit, editCopy } from './edit-copy.js';
export { editEnd, type EndField } from './edit-end.js';
export { editExchange, editTold, type ExchangeField } from './edit-exchange.js';
export { furtherText } from './edit-further.js';
export { dropGroup, editGroup } from './edit-group.js';
export { editImportSource } from './edit-import.js';
export { editLanding, type LandingColumn } from './edit-landing.js';
export { editLane } from './edit-lane.js';
export {
  editLine,
  hasLineFields,
  LINE_FIELDS,
  LINE_WORDS,
  type LineField,
  type LineKind,
  linePath,
  lineText,
} from './edit-line.js';
export { listeningText } from './edit-listening.js';
export { editModule, type ModuleColumn } from './edit-module.js';
export { editNetwork, type NetworkColumn, networkText } from './edit-network.js';
export { offText } from './edit-off.js';
export { editPermitted } from './edit-permitted.js';
export { editPort, type PortColumn } from './edit-port.js';
export { editRack, type RackColumn } from './edit-rack.js';
export { editExpectation, editHelper, editRoute, readPair, type RouteColumn } from './edit-route.js';
export { POOL_UNKNOWN, tunnelText } from './edit-service-port.js';
export { editSetting, keepForSettingBack, setBack, type SettingColumn } from './edit-setting.js';
export { editStation, firmwareText, type StationColumn, takenFromText } from './edit-station.js';
export { dropStep, editStep, type StepColumn } from './edit-step.js';
export { dropMember, editMember, editStructure } from './edit-structure.js';
export { editTag, type TagColumn } from './edit-tag.js';
export { addZone, editZone, type ZoneColumn } from './edit-zone.js';
export { readTagContext, readTagField, tagFieldText } from './tag-field.js';
