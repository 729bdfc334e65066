import { read, unread, type Read } from '../text/read.js';
import { fillTemplate, isDigit, matchTemplate, readTemplate } from '../text/template.js';

/** How a row names the station that it asks, where the profile says nothing of its own. */
export const ASSUMED_STATION_TEXT = '{address}:{port}/{unit}';

export interface StationParts {
  address: string;
  /** empty: not in the text */
  port: string;
  unit: string;
}

const PARTS = ['address', 'port', 'unit'] as const;
const WHOLE = { holds: isDigit, takes: 'many' } as const;
const FORMS = {
  address: { holds: (character: string) => /[A-Za-z0-9.-]/.test(character), takes: 'many' },
  port: WHOLE,
  unit: WHOLE,
} as const;
const MOST_PORT_DIGITS = 5;
const MOST_UNIT_DIGITS = 3;

/** `10.48.10.11:502/1`: address, TCP port and unit in one text, as the template writes them. */
export const formatStationText = (template: string, { address, port, unit }: StationParts): string =>
  fillTemplate(readTemplate(template, PARTS), { address, port, unit });

/** The inverse. */
export function parseStationText(template: string, text: string): Read<StationParts> {
  const clean = text.trim();
  const { address = '', port = '', unit = '' } = matchTemplate(readTemplate(template, PARTS), FORMS, clean) ?? {};
  if (address === '' || port.length > MOST_PORT_DIGITS || unit.length > MOST_UNIT_DIGITS) {
    const example = formatStationText(template, { address: '10.0.0.1', port: '502', unit: '1' });
    return unread(`“${clean}” names no station`, `it is written ${template}, as in ${example}`);
  }
  return read({ address, port, unit });
}
