import fc from 'fast-check';
import ipaddr from 'ipaddr.js';
import { formatIpv4, formatMask } from '../wiring/ipv4.js';
import { routedPlant } from '../testing/routed-plant.testing.js';
import { edited } from '../testing/two-stations.testing.js';
import { findRoutes } from './find-routes.js';

const prefix = fc.integer({ min: 8, max: 30 });
const address = (bits: number) => fc.integer({ min: 0x0a_00_00_01, max: 0x0a_00_00_00 + 2 ** (32 - bits) - 2 });

// [published: RFC 950, section 2.2; RFC 4632, section 3.1] [library: ipaddr.js]
test('on one wire two reach each other where each is in the subnet of the other’s own mask', () => {
  fc.assert(
    fc.property(
      fc.tuple(prefix, prefix).chain(([a, b]) => fc.tuple(fc.constant([a, b] as const), address(20), address(20))),
      ([[a, b], here, there]) => {
        fc.pre(here !== there);
        const project = edited(
          routedPlant(),
          ['port', 'a1', 'address', formatIpv4(here)],
          ['port', 'a1', 'mask', formatMask(a)],
          ['port', 'r1', 'address', formatIpv4(there)],
          ['port', 'r1', 'mask', formatMask(b)],
        );
        const { found } = findRoutes(project, { from: 'a', to: 'r', port: 'a1', traffic: 'requests' });
        const [one, other] = [here, there].map((ip) => ipaddr.IPv4.parse(formatIpv4(ip)));
        expect(found.length > 0).toBe(other!.match(one!, a) && one!.match(other!, b));
      },
    ),
    { numRuns: 300 },
  );
});
