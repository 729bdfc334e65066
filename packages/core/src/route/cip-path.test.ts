import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { routedPlant } from '../testing/routed-plant.testing.js';
import { edited } from '../testing/two-stations.testing.js';
import { encodedPath, hexOf, portSegment } from './cip-path.js';
import { findRoutes } from './find-routes.js';

interface Case {
  hops: [number, number | string][];
  bytes: string;
  read: string[];
}
const paths = JSON.parse(readFileSync(join(__dirname, 'cip-paths.testing.json'), 'utf8')) as Case[];

const bytesOf = (hops: readonly (readonly [number, number | string])[]) =>
  hops.flatMap(([port, link]) => {
    const segment = portSegment(port, link);
    if (!segment.ok) throw new Error(segment.found);
    return segment.value;
  });

// [published: ODVA Common Industrial Protocol, volume 1, appendix C: examples of port segments] [from memory]
test('a backplane slot, and an IP address in characters, padded to an even count', () => {
  expect(hexOf(bytesOf([[1, 0]]))).toBe('01 00');
  expect(hexOf(bytesOf([[2, '10.1.2.3']]))).toBe('12 08 31 30 2E 31 2E 32 2E 33');
  expect(hexOf(bytesOf([[2, '10.1.2.30']]))).toBe('12 09 31 30 2E 31 2E 32 2E 33 30 00');
});

// [library: tshark, Debian's package of the Wireshark dissectors; read by cip-paths.testing.py]
test.each(paths.map((one) => [one.bytes, one] as const))(
  'what is encoded is read back by a dissector that knows nothing of it: %s',
  (_, { hops, bytes, read }) => {
    expect(hexOf(bytesOf(hops))).toBe(bytes);
    const extended = read.filter((line) => line.startsWith('Port Extended')).map((line) => Number(line.split(': ')[1]));
    const found = [...read[0]!.matchAll(/Port: (\w+), Address: ([^,]+)/g)].map(([, port, address]) => {
      const number = port === 'Backplane' ? 1 : Number(port);
      return [number === 15 ? extended.shift() : number, address];
    });
    expect(found).toEqual(hops.map(([port, link]) => [port, String(link)]));
  },
);

test('ports and addresses that no segment can carry are refused', () => {
  expect(portSegment(0, 1).ok).toBe(false);
  expect(portSegment(1, 256).ok).toBe(false);
  expect(portSegment(1, -1).ok).toBe(false);
  expect(portSegment(2, '').ok).toBe(false);
  expect(portSegment(2, 'x'.repeat(256)).ok).toBe(false);
});

test('a way has a path where every station on it speaks the protocol, and every link is one of it', () => {
  const path = (to: string, project = routedPlant()) => {
    const [way] = findRoutes(project, { from: 'a', to, port: null, traffic: 'requests' }, 1).found;
    const bytes = encodedPath(project, way!.hops);
    return bytes.ok ? hexOf(bytes.value) : bytes.found;
  };
  // Out of the first port of A, out of the second of R, then through the backplane to slot 0.
  expect(path('t')).toBe('12 08 31 30 2E 30 2E 31 2E 32 13 08 31 30 2E 30 2E 32 2E 39 01 00');
  expect(path('d')).toBe('Bus is no link of the Common Industrial Protocol');
  const other = edited(routedPlant(), ['profile', 'router', 'speaks', { dnp3: { roles: [], media: [], source: 's' } }]);
  expect(path('t', other)).toBe('R does not speak the Common Industrial Protocol');
});
