import { childrenOf } from '../model/order.js';
import type { Network } from '../model/network.js';
import type { Port } from '../model/port.js';
import type { Reader } from '../model/project.js';
import type { NetworkKind } from '../model/words.js';
import { parseInSpace, SPACES, type SpaceId } from './address-spaces.js';

const ON: Record<NetworkKind, readonly SpaceId[]> = {
  ethernet: ['telemetry'],
  'serial line': ['unit', 'telemetry'],
  'token bus': ['node'],
  radio: ['radio', 'telemetry'],
  'direct cable': [],
};

/** The spaces of numbers that a network of this kind has, besides IP addresses. */
export const spacesOn = (network: Pick<Network, 'kind'>): readonly SpaceId[] => ON[network.kind];

/** What a port has in a space, as typed. */
export function numberText(port: Port, space: SpaceId): string {
  if (space === 'unit') return port.unit === null ? '' : String(port.unit);
  return (space === 'radio' ? port.radio?.number : port[space])?.trim() ?? '';
}

/** The number of a port in a space; null where it has none, or one that cannot be read. */
export function numberOf(port: Port, space: SpaceId): number | null {
  const text = numberText(port, space);
  const number = text === '' ? null : parseInSpace(text, SPACES[space]);
  return number?.ok ? number.value : null;
}

/** The value of the port's field for a number. */
export const withNumber = (space: SpaceId, number: number): number | string =>
  space === 'unit' ? number : String(number);

export function takenIn(reader: Reader, network: Network, space: SpaceId): Set<number> {
  const taken = new Set<number>();
  for (const port of childrenOf(reader, 'port', network.id)) {
    const number = numberOf(port, space);
    if (number !== null) taken.add(number);
  }
  return taken;
}
