/** A TCP or UDP port that a protocol of the field is known by. */
export interface KnownPort {
  port: number;
  transport: 'TCP' | 'UDP';
  name: string;
}

/** [published: IANA Service Name and Transport Protocol Port Number Registry] [from memory] */
export const KNOWN_PORTS: readonly KnownPort[] = [
  { port: 102, transport: 'TCP', name: 'ISO transport on top of TCP (RFC 1006)' },
  { port: 502, transport: 'TCP', name: 'Modbus' },
  { port: 2222, transport: 'UDP', name: 'Common Industrial Protocol, cyclic connections' },
  { port: 4840, transport: 'TCP', name: 'OPC UA' },
  { port: 20000, transport: 'TCP', name: 'DNP3' },
  { port: 44818, transport: 'TCP', name: 'Common Industrial Protocol, requests' },
];

/** `502, Modbus`, where the port is one that is known; else the number alone. */
export function describePort(port: number): string {
  const known = KNOWN_PORTS.find((p) => p.port === port);
  return known ? `${port}, ${known.name}` : String(port);
}
