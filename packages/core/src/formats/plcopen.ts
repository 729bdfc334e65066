import type { ListFormat } from './list-format.js';
import { readPlcopen } from './plcopen-xml.js';
import { writePlcopen } from './write-plcopen.js';

/** PLCopen XML (IEC 61131-10): the only XML that is read. */
export const PLCOPEN: ListFormat = {
  name: 'PLCopen XML',
  endings: ['xml'],
  isText: true,
  recognise: (_, text) => text.slice(0, 4000).trimStart().startsWith('<'),
  read: (_, { text }) => [{ name: '', content: { holds: 'tags', list: readPlcopen(text) } }],
  write: (list, name, moment) => ({ text: writePlcopen(list, name, moment), type: 'application/xml' }),
};
