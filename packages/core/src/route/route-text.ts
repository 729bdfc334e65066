import { read, unread, type Read } from '../text/read.js';
import type { RouteText } from '../model/profile.js';
import type { Reader } from '../model/project.js';
import { MOST_HOPS } from './find-routes.js';
import type { RouteHop } from './hop.js';

/** How a route is written where the profile says nothing. */
export const ASSUMED_ROUTE_TEXT: Omit<RouteText, 'source'> = {
  separator: ' / ',
  joint: ' > ',
  hopOrder: 'way first',
  named: true,
  firstPort: true,
  quote: '',
};
export type RouteForm = Omit<RouteText, 'source'>;

const LONGEST = 1000;

/** How a station writes routes down. */
export function routeFormOf(reader: Reader, station: string): RouteForm {
  const profile = reader.get('profile', reader.get('station', station)?.profile ?? '');
  return profile?.routeText ?? ASSUMED_ROUTE_TEXT;
}

/** One hop of a text: by which way, to which address, as they are written; the way is empty where the first leaves it out. */
export interface StatedHop {
  way: string;
  address: string;
}

/** The hops of a way that are written down. */
export const writtenHops = (hops: readonly RouteHop[]): RouteHop[] => hops.filter((hop) => !hop.silent);

export const wayText = (hop: RouteHop, form: RouteForm): string => (form.named ? hop.way.name : String(hop.way.number));

/** The text of a route as a station of that form has it typed. */
export function routeText(hops: readonly RouteHop[], form: RouteForm): string {
  const parts = writtenHops(hops).map((hop, i) => {
    if (i === 0 && !form.firstPort) return hop.address;
    const pair = [wayText(hop, form), hop.address];
    return (form.hopOrder === 'way first' ? pair : pair.reverse()).join(form.joint);
  });
  return `${form.quote}${parts.join(form.separator)}${form.quote}`;
}

/** The inverse of `routeText`: hop by hop; else which hop cannot be read, and what would be right. */
export function readRouteText(text: string, form: RouteForm): Read<StatedHop[]> {
  const clean = text.trim();
  if (clean.length > LONGEST) return unread(`${clean.length} characters`, `a route has at most ${LONGEST}`);
  const bare = unquoted(clean, form.quote);
  if (bare === null) return unread(`“${short(clean)}” is not in ${form.quote}${form.quote}`, example(form));
  const separator = form.separator.trim() || form.separator;
  const joint = form.joint.trim() || form.joint;
  const pieces =
    separator === joint ? inPairs(bare.split(separator), form) : bare.split(separator).map((p) => p.split(joint));
  if (pieces.length > MOST_HOPS) return unread(`${pieces.length} hops`, `a route has at most ${MOST_HOPS}`);
  const hops: StatedHop[] = [];
  for (const [i, parts] of pieces.entries()) {
    const clean = parts.map((part) => part.trim());
    const alone = i === 0 && !form.firstPort;
    if (clean.every((part) => part === '')) return unread(`hop ${i + 1} is empty`, example(form));
    if (clean.length !== (alone ? 1 : 2) || clean.includes('')) {
      return unread(`hop ${i + 1}, “${short(parts.join(form.joint))}”, has not the form of one`, example(form));
    }
    const [first = '', second = ''] = clean;
    if (alone) hops.push({ way: '', address: first });
    else hops.push(form.hopOrder === 'way first' ? { way: first, address: second } : { way: second, address: first });
  }
  return read(hops);
}

function unquoted(text: string, quote: string): string | null {
  if (quote === '') return text;
  const inside = text.length >= 2 && text.startsWith(quote) && text.endsWith(quote);
  return inside ? text.slice(quote.length, -quote.length) : null;
}

/** One separator for both: the parts follow each other two by two. */
function inPairs(parts: string[], form: RouteForm): string[][] {
  const pairs: string[][] = form.firstPort ? [] : [[parts[0] ?? '']];
  for (let i = form.firstPort ? 0 : 1; i < parts.length; i += 2) pairs.push(parts.slice(i, i + 2));
  return pairs;
}

const short = (text: string) => (text.length > 60 ? `${text.slice(0, 60)}…` : text);

const example = (form: RouteForm): string => `write it as ${routeSample(form)}`;

/** Over Plant LAN (port 2) to 10.0.0.1, then through the rack (port 1) to slot 0, as a station of that form writes it. */
export function routeSample(form: RouteForm): string {
  const hop = (name: string, number: string, address: string) => {
    const pair = [form.named ? name : number, address];
    return (form.hopOrder === 'way first' ? pair : pair.reverse()).join(form.joint);
  };
  const first = form.firstPort ? hop('Plant LAN', '2', '10.0.0.1') : '10.0.0.1';
  return `${form.quote}${first}${form.separator}${hop('rack', '1', '0')}${form.quote}`;
}
