import { IEC_TEXT } from './iec-text.js';
import type { ListFormat } from './list-format.js';
import { PLCOPEN } from './plcopen.js';
import { SEPARATED } from './separated.js';
import { WORKBOOK } from './workbook.js';

/** Every format in which a list can come in and go out; the first that recognises a file reads it. */
export const LIST_FORMATS: readonly ListFormat[] = [WORKBOOK, PLCOPEN, IEC_TEXT, SEPARATED];

/** The format of a file, by its bytes and what they say as text. */
export const formatOf = (bytes: Uint8Array, text: () => string): ListFormat =>
  LIST_FORMATS.find((format) => format.recognise(bytes, format.isText ? text() : ''))!;
