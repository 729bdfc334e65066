import { memoryOf } from './memory.js';
import { placeAlong } from './format-address.js';
import { locate } from './resolve.js';
import { read, unread, type Read } from '../text/read.js';
import { isTyped } from '../model/as-typed.js';
import type { Place } from '../model/claim.js';
import type { Landing } from '../model/landing.js';
import { childrenOf } from '../model/order.js';
import type { Reader } from '../model/project.js';
import { fillTemplate, isDigit, matchTemplate, readTemplate } from '../text/template.js';

/** One input or output of a module that a controller claims. */
export interface Point {
  landing: Landing;
  what: 'inputs' | 'outputs';
  /** from 0 */
  channel: number;
}

const KIND = { inputs: 'I', outputs: 'O' } as const;
const PARTS = ['station', 'slot', 'kind', 'channel'] as const;
const WHOLE = { holds: isDigit, takes: 'many' } as const;
const FORMS = {
  station: { holds: () => true, takes: 'few' },
  slot: WHOLE,
  kind: { holds: (character: string) => 'IOio'.includes(character), takes: 'few' },
  channel: WHOLE,
} as const;

/** The template of a controller's own programs for a point of a module; empty where its profile has none. */
function templateOf(reader: Reader, station: string): string {
  const profile = reader.get('station', station)?.profile;
  return (profile && reader.get('profile', profile)?.pointText?.text) || '';
}

function partsOf(reader: Reader, { landing, what, channel }: Point): Record<string, string> | null {
  const module = reader.get('module', landing.module);
  const rack = module && reader.get('rack', module.rack);
  const station = rack && reader.get('station', rack.station);
  if (!module || !station) return null;
  const slot = landing.slot ?? module.slot;
  return { station: station.name, slot: String(slot ?? ''), kind: KIND[what], channel: String(channel) };
}

/** A point as the programs of the controller that claims it write it. Null where its profile has no template. */
export function pointText(reader: Reader, point: Point): string | null {
  const template = templateOf(reader, point.landing.station);
  const parts = template === '' ? null : partsOf(reader, point);
  return parts && fillTemplate(readTemplate(template, PARTS), parts);
}

/**
 * The point that a text names in the programs of a controller, and where its image has it: the inverse of `pointText`.
 * Null where the text does not look like one; unread where no module that it claims is meant.
 */
export function readPoint(reader: Reader, station: string, text: string): Read<{ point: Point; place: Place }> | null {
  const template = templateOf(reader, station);
  if (template === '') return null;
  // Letters of either case are one here; what is not ASCII may grow in the other case, and is left.
  const same = (words: string) => words.replace(/[A-Z]+/g, (letters) => letters.toLowerCase());
  const pieces = readTemplate(template, PARTS).map((piece) => (typeof piece === 'string' ? same(piece) : piece));
  const parts = matchTemplate(pieces, FORMS, same(text.trim()));
  if (!parts || (parts.kind?.length ?? 1) > 1) return null;
  const what = parts.kind?.toUpperCase() === 'O' ? 'outputs' : 'inputs';
  const channel = Number(parts.channel ?? 0);
  const claimed = childrenOf(reader, 'landing', station).map((landing): Point => ({ landing, what, channel }));
  const point = claimed.find((one) => pointText(reader, one)?.toLowerCase() === text.trim().toLowerCase());
  if (!point)
    return unread(`“${text.trim()}” names no module that this station claims`, 'enter it among its landings first');
  return placeOfPoint(reader, point, text.trim());
}

function placeOfPoint(reader: Reader, point: Point, text: string): Read<{ point: Point; place: Place }> {
  const { landing, what, channel } = point;
  const at = landing[`${what}At`];
  const memory = at && !isTyped(at) ? memoryOf(reader, at.area) : null;
  const located = memory && at && !isTyped(at) ? locate(memory, at) : null;
  const module = reader.get('module', landing.module);
  if (!at || isTyped(at) || !located || !module)
    return unread(`${what} of “${text}” land nowhere`, 'fill in where they land');
  const bytes = landing[what] ?? module[what];
  const digital = module.kind.startsWith('digital');
  const most = digital ? bytes * 8 : Math.floor(bytes / 2);
  if (channel >= most) return unread(`“${text}” has no channel ${channel}`, `its channels are 0 to ${most - 1}`);
  if (!digital) return read({ point, place: placeAlong(located, at, channel * 16, 16) });
  const place = placeAlong(located, at, Math.floor(channel / 8) * 8, 1);
  return read({ point, place: { ...place, width: 1, bit: channel % 8 } });
}
