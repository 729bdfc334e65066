/**
 * The fields of each sort of row, declared once: how each is shown and typed, what it offers, what it is for and where
 * findings and links name it. Tables, forms, comparisons and the help for a cell read them.
 */
export { AREA } from './area.js';
export { editAttachment } from './attachment.js';
export { addBlockPart, BLOCK_PART, partRef, partsOf } from './block-part.js';
export { ALL_ROWS } from './catalogue.js';
export { COPY, newCopy } from './copy.js';
export { dropEntryWithWhatRests } from './entry-with-what-rests.js';
export { editTold, END } from './end.js';
export { exchangeAsNamed, exchangeFromLine } from './exchange-line.js';
export { addStep, dropStep, EXCHANGE, STEP } from './exchange.js';
export { editField, type Editing, entriesOf, type Field, fieldText, pathOf, type RowRef, type Rows } from './field.js';
export { LANDING } from './landing.js';
export { LANE } from './lane.js';
export { isLine, LINE_PORT, type LineKind } from './line.js';
export { MODULE } from './module.js';
export { ETHERNET, NETWORK, RADIO, RADIO_UNITS, TOKEN_BUS } from './network.js';
export { PORT } from './port.js';
export { addZone, RACK, ZONE } from './rack.js';
export { addReservation, RESERVATION } from './reservation.js';
export { addPermitted, EXPECTATION, HELPER, PERMITTED, readPair, ROUTE } from './route.js';
export { keepForSettingBack, setBack } from './setting-back.js';
export { routeFromLine } from './route-line.js';
export { SETTING, settingRows } from './setting.js';
export { STATION } from './station.js';
export { stationFromLine } from './station-line.js';
export { addMember, addStructure, MEMBER, STRUCTURE } from './structure.js';
export { addGroup, GROUP, IMPORT, SERIES } from './tag-lists.js';
export { readTagContext, readTagField, tagFieldText } from './tag-field.js';
export { addTag, TAG } from './tag.js';
export { VIEW, viewsOf } from './view.js';
