import type { Cell } from '@dialoga/core/finding';

const FIELDS = ['', 'address', 'mask', 'network', 'purpose', 'unit', 'node', 'radio.number', 'telemetry'];

/** Whether a field of a port is shown in the attachment table; the others stand among the settings of its line. */
export const isShownInTable = (cell: Cell): boolean => cell.kind === 'port' && FIELDS.includes(cell.path.join('.'));
