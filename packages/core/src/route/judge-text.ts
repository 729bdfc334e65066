import { parseIpv4 } from '../wiring/ipv4.js';
import { unreadSentence } from '../text/read.js';
import { specialAddress } from '../wiring/special.js';
import { childrenOf } from '../model/order.js';
import type { Reader } from '../model/project.js';
import type { Route } from '../model/route.js';
import { inSlot } from '../rack/program-slot.js';
import { findRoutes, type FoundRoute } from './find-routes.js';
import type { RouteHop } from './hop.js';
import { portsOf } from './ports-of.js';
import {
  readRouteText,
  routeFormOf,
  routeText,
  wayText,
  writtenHops,
  type RouteForm,
  type StatedHop,
} from './route-text.js';

/** What is wrong with a stated text, at which of its hops (from 0; null: the text as a whole). */
export interface TextFault {
  kind:
    'unread' | 'rack missing' | 'rack needless' | 'no CPU' | 'not there' | 'hop missing' | 'hop too many' | 'other way';
  hop: number | null;
  /** what stands there, and what would be right */
  found: string;
  right: string;
}

/** A text read back: its hops, and what is wrong with them against the best way. */
export interface JudgedText {
  hops: readonly StatedHop[];
  faults: readonly TextFault[];
  /** the text of the best way, in this station's form; empty where there is none */
  right: string;
}

/** Judges a text that somebody typed at the station that asks, against the ways there are: the one it comes nearest to. */
export function judgeText(reader: Reader, route: Route, text: string): JudgedText {
  const form = routeFormOf(reader, route.from);
  const { found } = findRoutes(reader, route);
  const right = found[0] ? routeText(found[0].hops, form) : '';
  if (text.trim() === '') return { hops: [], right, faults: [] };
  if (right !== '' && text.trim().toLowerCase() !== right.toLowerCase() && partsOf(text) === partsOf(right)) {
    const found = 'its parts are not separated as this station does it';
    return { hops: [], right, faults: [{ kind: 'unread', hop: null, found, right }] };
  }
  const stated = readRouteText(text, form);
  if (!stated.ok) {
    return { hops: [], right, faults: [{ kind: 'unread', hop: null, found: unreadSentence(stated), right }] };
  }
  const judged = found.map((way) => against(reader, route, stated.value, way, form));
  const nearest = judged.reduce<TextFault[] | null>(
    (best, one) => (best && best.length <= one.length ? best : one),
    null,
  );
  return { hops: stated.value, faults: nearest ?? [], right };
}

/** The words of a text without what separates or encloses them: equal ones differ in that alone. */
const partsOf = (text: string): string =>
  text
    .toLowerCase()
    .split(/[\s>,;/\\|"']+/)
    .filter((part) => part !== '')
    .join(' ');

function against(
  reader: Reader,
  route: Route,
  stated: readonly StatedHop[],
  way: FoundRoute,
  form: RouteForm,
): TextFault[] {
  const hops = writtenHops(way.hops);
  const faults: TextFault[] = [];
  const same = (hop: RouteHop, at: StatedHop) => hop.address === at.address && sameWay(hop, at, form);
  let next = 0;
  stated.forEach((at, i) => {
    const hop = hops[next];
    if (hop?.kind === 'same computer' && hop.address !== at.address && parseIpv4(at.address).ok) {
      const found = `“${at.address}” ${otherComputer(reader, route, at.address)}`;
      faults.push({ kind: 'not there', hop: i, found, right: `${wayText(hop, form)}, ${hop.address}` });
      next++;
      return;
    }
    if (hop && same(hop, at)) {
      next++;
      return;
    }
    if (isRack(at, form)) {
      if (hop?.kind === 'backplane') {
        faults.push(slotFault(reader, hop, at, i));
        next++;
      } else {
        const right = 'leave this hop out: the port is on the CPU itself';
        faults.push({ kind: 'rack needless', hop: i, found: `${at.way} ${at.address}`, right });
      }
      return;
    }
    // One or several hops were left out before this one.
    const later = hops.findIndex((other, n) => n >= next && same(other, at));
    if (later > next) {
      for (; next < later; next++) faults.push(missing(hops[next]!, i, form));
      next++;
      return;
    }
    if (hop?.kind === 'network' && hop.address === at.address) {
      const found = `“${at.way}” does not lead there`;
      faults.push({ kind: 'not there', hop: i, found, right: wayText(hop, form) });
      next++;
    } else if (hop?.kind === 'network') {
      faults.push({
        kind: 'not there',
        hop: i,
        found: `“${`${at.way} ${at.address}`.trim()}” ${whereThatIs(reader, route, way, at.address)}`,
        right: `${wayText(hop, form)}, ${hop.address}`,
      });
      next++;
    } else
      faults.push({
        kind: 'hop too many',
        hop: i,
        right: 'leave it out',
        found: `“${`${at.way} ${at.address}`.trim()}” ${whereThatIs(reader, route, way, at.address)}`,
      });
  });
  for (; next < hops.length; next++) faults.push(missing(hops[next]!, stated.length, form));
  return faults;
}

/** Both programs run on one computer: its own address leads there, too; any other is that of another computer. */
function otherComputer(reader: Reader, route: Route, address: string): string {
  const host = reader.get('station', route.from);
  const own = host ? portsOf(reader, host).some((port) => port.address.trim() === address) : false;
  const name = reader.get('station', route.to)?.name ?? '';
  return own ? `leaves the computer, and ${name} is on it` : `is the other computer; ${name} is on the same one`;
}

/** Whose address that is, where it is that of another station or of the computer itself. */
function whereThatIs(reader: Reader, route: Route, { hops }: FoundRoute, address: string): string {
  const name = (id: string) => reader.get('station', id)?.name ?? '';
  const ip = parseIpv4(address);
  if (!ip.ok) return 'is not on the way';
  if (specialAddress(ip.value, null) === 'loopback') {
    return `is ${name(route.from)} itself, and ${name(route.to)} is on another computer`;
  }
  const networks = [...new Set(hops.flatMap(({ network }) => network ?? []))];
  const owner = networks
    .flatMap((network) => childrenOf(reader, 'port', network))
    .find((port) => {
      const own = parseIpv4(port.address);
      return own.ok && own.value === ip.value;
    });
  if (!owner) return 'is nobody’s address there';
  return owner.station === route.from ? `is ${name(route.from)} itself` : `is ${name(owner.station)}, not on the way`;
}

const sameWay = (hop: RouteHop, at: StatedHop, form: RouteForm) =>
  at.way === '' || at.way.toLowerCase() === wayText(hop, form).toLowerCase();

const isRack = (at: StatedHop, form: RouteForm) => at.way.toLowerCase() === (form.named ? 'rack' : '1');

function missing(hop: RouteHop, at: number, form: RouteForm): TextFault {
  const right = `${wayText(hop, form)}${form.joint}${hop.address}`;
  if (hop.kind === 'backplane') {
    return { kind: 'rack missing', hop: at, found: 'the hop through the backplane is left out', right };
  }
  return { kind: 'hop missing', hop: at, found: `the hop over ${hop.way.name} is left out`, right };
}

/** A slot other than the CPU's: what is in it. */
function slotFault(reader: Reader, hop: RouteHop, at: StatedHop, i: number): TextFault {
  const right = `slot ${hop.address}`;
  const slot = /^\d{1,3}$/.test(at.address) ? Number(at.address) : null;
  if (slot === null) return { kind: 'no CPU', hop: i, found: `“${at.address}” is not a valid slot`, right };
  const there = inSlot(reader, hop.to, slot);
  const what = there ? `slot ${slot} holds ${there.name}, no CPU` : `slot ${slot} holds nothing`;
  return {
    kind: 'no CPU',
    hop: i,
    found: there?.isCpu ? `slot ${slot} holds another CPU, ${there.name}` : what,
    right,
  };
}
