import type { Claim } from '../model/claim.js';
import type { End } from '../model/end.js';
import type { Exchange } from '../model/exchange.js';
import type { Setting } from '../model/setting.js';
import type { SettingState } from '../model/words.js';
import { childrenOf } from '../model/order.js';
import { digestOf } from '../model/digest.js';
import type { Kind } from '../model/kinds.js';
import type { Port } from '../model/port.js';
import type { Reader } from '../model/project.js';

/** A value of the model that has to be typed somewhere. */
export interface Planned {
  cell: { kind: Kind; id: string; path: readonly string[] };
  /** what it is, in words: `Ethernet, address` */
  what: string;
  /** as it is meant to be, to read */
  text: string;
  /** what is compared with what was sent */
  value: string;
}

/** Fields of a port that are set at the device, with their words. */
export const PORT_SETTINGS = {
  address: 'address',
  mask: 'mask',
  gateway: 'gateway',
  deviceName: 'device name',
  unit: 'unit address',
  node: 'node address',
  telemetry: 'telemetry address',
  serial: 'rate and character',
  busRate: 'bus rate',
  busProfile: 'bus profile',
  'radio.number': 'radio number',
  'radio.id': 'network id',
  'radio.band': 'band',
  'radio.rate': 'radio rate',
  'radio.mode': 'mode',
} as const;

/** What a setting points at: `port p1 address`, `module m1 dial`, `landing l1`, `end e1`. Null where that is gone. */
export function plannedOf(reader: Reader, field: string): Planned | null {
  const [kind = '', id = '', path = ''] = field.split(' ');
  switch (kind) {
    case 'port': {
      const port = reader.get('port', id);
      const word = PORT_SETTINGS[path as keyof typeof PORT_SETTINGS];
      return port && word ? plain('port', id, path, `${port.name || 'port'}, ${word}`, textAt(port, path)) : null;
    }
    case 'module': {
      const module = reader.get('module', id);
      return module
        ? plain('module', id, 'dial', `${module.name || module.kind}, rotary switch`, module.dial ?? '')
        : null;
    }
    case 'landing': {
      const landing = reader.get('landing', id);
      const module = landing && reader.get('module', landing.module);
      if (!landing || !module) return null;
      const { order: _, ...held } = landing;
      return whole(
        'landing',
        id,
        `what it says of ${module.name || module.kind}`,
        [landing.orderCode, landing.accepted],
        held,
      );
    }
    case 'end': {
      const end = reader.get('end', id);
      const exchange = end && reader.get('exchange', end.exchange);
      if (!end || !exchange) return null;
      const { order: _, confirmed: __, ...held } = end;
      const claims = childrenOf(reader, 'claim', end.id);
      // An end that is only called by a tool holds nothing.
      if (claims.length === 0 && Object.keys(end.told).length === 0) return null;
      const count =
        claims.length === 0
          ? 'what is entered about others'
          : claims.length === 1
            ? '1 block'
            : `${claims.length} blocks`;
      const timing = [exchange.protocol, exchange.transfer, exchange.cadence, exchange.timeout ?? null];
      return {
        cell: { kind: 'end', id, path: [] },
        what: `its end of ${exchange.name}`,
        text: count,
        value: digestOfEnd(end, exchange, claims, () => [held, timing, claims]),
      };
    }
    default:
      return null;
  }
}

function textAt(port: Port, path: string): string {
  const [head = '', key] = path.split('.');
  const value = key ? port.radio?.[key as 'number'] : port[head as 'address'];
  return value === null || value === undefined ? '' : String(value).trim();
}

const plain = (kind: Kind, id: string, path: string, what: string, text: string): Planned => ({
  cell: { kind, id, path: path.split('.') },
  what,
  text,
  value: text,
});

function whole(kind: Kind, id: string, what: string, words: string[], held: unknown): Planned {
  const digest = digestOf(held);
  const text = words.filter((w) => w !== '').join(', ');
  return { cell: { kind, id, path: [] }, what, text, value: digest };
}

/** Of an end with thousands of values the digest takes a while: it is kept as long as none of what it is made of changes. */
const digests = new WeakMap<End, { exchange: Exchange; claims: readonly Claim[]; digest: string }>();

function digestOfEnd(end: End, exchange: Exchange, claims: readonly Claim[], held: () => unknown): string {
  const known = digests.get(end);
  const same = (list: readonly Claim[]) => list.length === claims.length && list.every((one, i) => one === claims[i]);
  if (known?.exchange === exchange && same(known.claims)) return known.digest;
  const digest = digestOf(held());
  digests.set(end, { exchange, claims, digest });
  return digest;
}

export type StateNow = SettingState | 'changed since sent';

/** Whether the planned value was sent and is in force; what was sent before the value changed does not count for it. */
export function settingState(setting: Setting | null, planned: Planned): StateNow {
  if (!setting || setting.state === 'not sent') return 'not sent';
  return setting.sent === planned.value ? setting.state : 'changed since sent';
}
