import type { Calling, ExchangeKind } from '../model/words.js';
import { PROTOCOL_CHOICES } from '../protocol/catalogue.js';

/** The protocols of each kind of exchange, the usual one first; a service link has one of its own. */
const IDS: Record<ExchangeKind, readonly string[]> = {
  'peer connection': [
    'modbus-tcp',
    'modbus-rtu',
    'cip',
    'iso-transport',
    'cyclic-ethernet-io',
    'token-bus-io',
    'dnp3',
    'opc-ua',
    'other',
  ],
  'shared variables': ['cip', 'opc-ua', 'other'],
  'coupler area': ['cyclic-ethernet-io', 'cip', 'token-bus-io', 'other'],
  'gateway memory': ['modbus-tcp', 'modbus-rtu', 'radio-mirror', 'other'],
  'tag map': ['modbus-tcp', 'modbus-rtu', 'cip', 'opc-ua', 'other'],
  'remote I/O': ['cyclic-ethernet-io', 'token-bus-io', 'cip', 'other'],
  'service link': ['service-access'],
};

/** Who calls and who listens in a new exchange of each kind, left and right; the others are as a peer connection. */
const ROLES: Partial<Record<ExchangeKind, readonly [Calling, Calling]>> = {
  // One offers, the others take.
  'shared variables': ['listens', 'calls'],
  // A coupler is called from both sides.
  'coupler area': ['calls', 'calls'],
};

/** What the left and the right end of a new exchange of this kind begin as. */
export const rolesFor = (kind: ExchangeKind): readonly [Calling, Calling] => ROLES[kind] ?? ['calls', 'listens'];

/** What can be chosen as protocol for an exchange of this kind. */
export const protocolsFor = (kind: ExchangeKind): { id: string; name: string }[] =>
  IDS[kind].flatMap((id) => PROTOCOL_CHOICES.filter((choice) => choice.id === id));
