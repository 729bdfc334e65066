import { parseIpv4 } from '../wiring/ipv4.js';

/** What can be told of a device, on site and in the plan, in the order in which it is looked at. */
export const FACTS = [
  'hardware',
  'deviceName',
  'address',
  'unit',
  'node',
  'telemetry',
  'type',
  'orderCode',
  'revision',
  'slots',
] as const;
export type Fact = (typeof FACTS)[number];

export const FACT_WORDS: Readonly<Record<Fact, string>> = {
  hardware: 'hardware address',
  deviceName: 'device name',
  address: 'address',
  unit: 'unit',
  node: 'node',
  telemetry: 'telemetry address',
  type: 'type',
  orderCode: 'order code',
  revision: 'revision',
  slots: 'slots of its rack',
};

/** What cannot be set at a device: where it differs, it is another device. */
export const IDENTITY: readonly Fact[] = ['hardware', 'type', 'orderCode', 'revision', 'slots'];

/** A fact in the one form in which two texts are compared; empty: nothing is said. */
export function plainFact(fact: Fact, text: string): string {
  const clean = text.trim();
  if (fact === 'hardware') {
    // Some lists leave the leading zero of a byte out: 2:0:5e:0:0:b.
    const bytes = clean.toLowerCase().split(/[:-]/);
    return (bytes.length === 6 ? bytes.map((byte) => byte.padStart(2, '0')) : bytes).join('').replace(/[^0-9a-f]/g, '');
  }
  if (fact === 'address') {
    const read = parseIpv4(clean.split('/')[0]!);
    return !read.ok ? clean.toLowerCase() : read.value === 0 ? '' : String(read.value);
  }
  if (fact === 'revision') return clean.toLowerCase().replace(/^v(?=\d)/, '');
  return /^\d+$/.test(clean) ? String(Number(clean)) : clean.toLowerCase();
}
