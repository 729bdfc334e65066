import type { End, Told } from '../../model/end.js';
import { inSome, moved, otherHost, type SlipKind } from './slip.testing.js';

const inTold = (field: keyof Told, change: (value: string, end: End) => string | null): SlipKind =>
  inSome('end', (end) =>
    Object.entries(end.told).map(([other, told]) => {
      const now = told[field]?.trim();
      const next = now ? change(now, end) : null;
      return next === null || next === now ? null : [`told.${other}.${field}`, next];
    }),
  );

const hostOf = (address: string) => address.replace(/\.\d+$/, '');

/** What an end was told about its partner, mistaken. */
export const TOLD_SLIPS: Record<string, SlipKind> = {
  'told address, one digit': inTold('address', otherHost),
  'told address, the caller’s own': inSome('end', (end, project) =>
    Object.entries(end.told).map(([other, { address }]) => {
      const own = end.port ? project.get('port', end.port)?.address : '';
      return own && address && hostOf(own) === hostOf(address) ? [`told.${other}.address`, own] : null;
    }),
  ),
  'told address, not an address': inTold('address', (address) => address.replace(/\.\d+$/, '')),
  // Who is called need not know the caller’s.
  'told address, nothing': inTold('address', (_, { calling }) => (calling === 'calls' ? '' : null)),
  'told TCP port': inSome('end', (end, project) =>
    project.get('exchange', end.exchange)?.protocol === 'modbus-tcp' && end.calling === 'calls'
      ? Object.keys(end.told).map((other) => [`told.${other}.tcpPort`, '503'])
      : [],
  ),
  'told unit': inTold('unit', (unit) => moved(unit, 1)),
  'told node': inTold('node', (node) => moved(node, 1)),
  'told telemetry address': inTold('telemetry', (address) => moved(address, 1)),
  'telemetry address 0 entered': inTold('telemetry', () => '0'),
  'told device name': inTold('name', (name) => name.replace('-', '')),
  'told slot': inTold('slot', (slot) => moved(slot, 1)),
  'told reference, one’s own': inTold('connection', (_, end) => end.references?.connection ?? null),
  'told reference, one digit': inTold('connection', (number) => moved(number, 20)),
  'told instances, in for out': inSome('end', (end) =>
    Object.entries(end.told).map(([other, { input, output }]) =>
      input && output && input !== output ? [`told.${other}.input`, output] : null,
    ),
  ),
};
