import { read, unread, type Read } from '../address/result.js';

/** How a row names the station that it asks, where the profile says nothing of its own. */
export const ASSUMED_STATION_TEXT = '{address}:{port}/{unit}';

export interface StationParts {
  address: string;
  /** empty: not in the text */
  port: string;
  unit: string;
}

const PATTERNS = {
  address: '(?<address>[A-Za-z0-9.-]+)',
  port: '(?<port>\\d{1,5})',
  unit: '(?<unit>\\d{1,3})',
} as const;

const escaped = (text: string) => text.replace(/[.*+?^${}()|[\]\\/]/g, '\\$&');

/** `10.48.10.11:502/1`: address, TCP port and unit in one text, as the template writes them. */
export const formatStationText = (template: string, parts: StationParts): string =>
  template.replace('{address}', parts.address).replace('{port}', parts.port).replace('{unit}', parts.unit);

/** The inverse. */
export function parseStationText(template: string, text: string): Read<StationParts> {
  const clean = text.trim();
  let pattern = escaped(template);
  for (const part of ['address', 'port', 'unit'] as const) {
    pattern = pattern.replace(`\\{${part}\\}`, PATTERNS[part]);
  }
  const { address = '', port = '', unit = '' } = new RegExp(`^${pattern}$`).exec(clean)?.groups ?? {};
  if (address === '') {
    const example = formatStationText(template, { address: '10.0.0.1', port: '502', unit: '1' });
    return unread(`“${clean}” names no station`, `it is written ${template}, as in ${example}`);
  }
  return read({ address, port, unit });
}
