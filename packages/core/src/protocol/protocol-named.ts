import { PROTOCOLS } from './catalogue.js';
import type { Protocol } from './protocol.js';

/** The id of the protocol of this name, or of the only one whose name begins so. */
export function protocolNamed(text: string, which: (protocol: Protocol) => boolean = () => true): string | null {
  const clean = text.trim().toLowerCase();
  const known = PROTOCOLS.filter(which);
  const exact = known.find((p) => p.id === clean || p.name.toLowerCase() === clean);
  if (exact) return exact.id;
  const starting = clean === '' ? [] : known.filter((p) => p.name.toLowerCase().startsWith(clean));
  return starting.length === 1 ? starting[0]!.id : null;
}
