import { edited } from '../testing/two-stations.testing.js';
import { routedPlant } from '../testing/routed-plant.testing.js';
import { findRoutes } from './find-routes.js';
import { parsePool } from './tunnel.js';

const asked = (traffic: 'program transfer' | 'requests') => ({ from: 'a', to: 'd', port: null, traffic });
const withPool = (tunnel: string | undefined) => edited(routedPlant(), ['port', 'r1', 'tunnel', tunnel]);
const why = (tunnel: string) => findRoutes(withPool(tunnel), asked('program transfer'), 1);

test('a pool is a range, the end of a range, or a subnet', () => {
  const span = (text: string) => {
    const pool = parsePool(text);
    return pool.ok ? pool.value.last - pool.value.first + 1 : pool.found;
  };
  expect(span('192.168.170.1–192.168.170.8')).toBe(8);
  expect(span('192.168.170.1 - 8')).toBe(8);
  expect(span('192.168.170.0/29')).toBe(8);
  expect(span('192.168.170.8-1')).toBe('“192.168.170.8-1” ends before it begins');
  expect(span('somewhere')).toBe('“somewhere” is not a valid pool of addresses');
});

test('service traffic comes in by a tunnel whose pool lies in none of the subnets [common practice]', () => {
  expect(why('192.168.170.1-8').found).toHaveLength(1);
  const { found, why: reason } = why('10.0.2.100-120');
  expect(found).toEqual([]);
  expect(reason).toContain('10.0.2.100-120 shares addresses with 10.0.2.0/24');
  expect(why('10.0.0.0/8').why).toContain('shares addresses with 10.0.1.0/24');
});

test('a pool that is not known yet stops nothing, and is not taken for known', () => {
  const { found } = why('');
  const conditions = found[0]!.hops.flatMap((hop) => hop.conditions);
  expect(conditions.find(({ must }) => must.includes('tunnel'))?.holds).toBeNull();
});

test('requests of programs do not go by the tunnel', () => {
  const project = withPool('10.0.2.100-120');
  const { found } = findRoutes(project, { ...asked('requests'), to: 't' }, 1);
  expect(found).toHaveLength(1);
});
