/** Networks and ports: addresses, masks, serial settings, and the spaces in which numbers are unique. */
export { type AttachmentRow, attachmentsOf, attachmentWords } from './attachments.js';
export { connectionsUsed } from './connections-of.js';
export { parseMask } from './ipv4.js';
export { type Ledger, ledgerOf, type LedgerRun, nextFreeInLedger } from './ledger.js';
export { numberText } from './numbers-on.js';
export { ownPorts } from './own-port.js';
export { settingsOfLine } from './serial-settings.js';
