import type { Reader } from '../model/project.js';
import type { Station } from '../model/station.js';
import type { Side } from '../lane/side.js';
import { protocolOf } from '../protocol/catalogue.js';
import type { Exchange } from '../model/exchange.js';
import { ASSUMED_STATION_TEXT, formatStationText, parseStationText, type StationParts } from './station-text.js';

/** The template by which a station names others in each of its rows. */
export function stationTemplate(reader: Reader, station: Station): string {
  const profile = station.profile ? reader.get('profile', station.profile) : undefined;
  return profile?.stationText?.text || ASSUMED_STATION_TEXT;
}

/** What a row names its station by, beside what that is. */
export interface JudgedStationText {
  text: string;
  /** why it cannot be read; null: it can */
  unread: string | null;
  /** the text that would be right; null: not known yet */
  right: string | null;
  /** which parts differ: `TCP port 503 is 502` */
  differs: readonly string[];
}

/** Null where the row names none. */
export function judgeStationText(
  reader: Reader,
  exchange: Exchange,
  caller: Side,
  other: Side,
): JudgedStationText | null {
  const text = caller.claim.toldStation?.trim() ?? '';
  if (text === '') return null;
  const template = stationTemplate(reader, caller.station);
  const port = other.end.port ? reader.get('port', other.end.port) : undefined;
  const protocol = protocolOf(exchange);
  const truth: StationParts | null = port?.address
    ? {
        address: port.address,
        port: String(port.listens[protocol.id]?.tcpPort ?? protocol.tcpPort ?? ''),
        unit: port.unit === null || port.unit === undefined ? '' : String(port.unit),
      }
    : null;
  const read = parseStationText(template, text);
  if (!read.ok) return { text, unread: `${read.found}; ${read.expected}`, right: null, differs: [] };
  const names = { address: 'address', port: 'TCP port', unit: 'unit' } as const;
  const differs = (['address', 'port', 'unit'] as const).flatMap((part) =>
    truth && truth[part] !== '' && read.value[part] !== '' && read.value[part] !== truth[part]
      ? [`${names[part]} ${read.value[part]} is ${truth[part]}`]
      : [],
  );
  const right = truth && formatStationText(template, { ...truth, unit: truth.unit || read.value.unit });
  return { text, unread: null, right, differs };
}
