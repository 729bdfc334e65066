import { unzipSync } from 'fflate';
import { read, unread, type Read } from '../text/read.js';

/** Bytes that a workbook may unpack to; more is none that people typed. */
export const MOST_UNPACKED = 300_000_000;
const MOST_RATIO = 200;

/** Whether a workbook (a ZIP archive) can be unpacked without harm: bytes that its parts say they have, nothing unpacked. */
export function workbookSize(bytes: Uint8Array): Read<number> {
  let unpacked = 0;
  try {
    unzipSync(bytes, {
      filter: (part) => {
        unpacked += part.originalSize;
        return false;
      },
    });
  } catch {
    return unread('a workbook that cannot be read', 'save it as XLSX or as CSV, and bring that in');
  }
  if (unpacked > MOST_UNPACKED || unpacked > bytes.length * MOST_RATIO) {
    const found = `${Math.round(bytes.length / 1000)} kB that unpack to ${Math.round(unpacked / 1e6)} MB`;
    return unread(
      found,
      `a workbook unpacks to at most ${MOST_RATIO} times its size, and to ${MOST_UNPACKED / 1e6} MB`,
    );
  }
  return read(unpacked);
}
