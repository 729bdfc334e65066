import { formatSubnet, overlaps, parseSubnet } from './ipv4.js';
import { newNetwork } from '../create/new-entities.js';
import { added, edited, twoStations } from '../testing/two-stations.testing.js';
import { freeSubnet } from './free-subnet.js';

const proposed = (project: ReturnType<typeof twoStations>) => {
  const subnet = freeSubnet(project);
  return subnet && formatSubnet(subnet);
};

test('the next one after the first network’s, of the same size, that overlaps nobody’s', () => {
  const project = edited(twoStations(), ['network', 'net', 'subnet', '10.0.0.0/24']);
  expect(proposed(project)).toBe('10.0.1.0/24');
  const more = added(project, 'network', { ...newNetwork('far', 20, 'Far'), subnet: '10.0.0.0/22' });
  expect(proposed(more)).toBe('10.0.4.0/24');
  const wide = edited(project, ['port', 'portb', 'address', '10.0.1.9'], ['port', 'portb', 'mask', '255.255.254.0']);
  const found = parseSubnet(proposed(wide)!);
  const used = parseSubnet('10.0.0.0/23');
  expect(found.ok && used.ok && overlaps(found.value, used.value)).toBe(false);
});

test('the private ranges are not left [published: RFC 1918, 3]', () => {
  const last = edited(twoStations(), ['network', 'net', 'subnet', '192.168.255.0/24']);
  expect(proposed(last)).toBeNull();
  const none = edited(twoStations(), ['port', 'porta', 'address', ''], ['port', 'portb', 'address', '']);
  expect(proposed(none)).toBe('10.0.0.0/24');
});
