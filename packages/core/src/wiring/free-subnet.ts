import { addressCount, overlaps, parseSubnet, type Subnet } from './ipv4.js';
import { specialAddress } from './special.js';
import { inOrder } from '../model/order.js';
import type { Project } from '../model/project.js';
import { readAddressesOf } from './port-addresses.js';

const isPrivate = (address: number): boolean => specialAddress(address, null) === 'private';

const FIRST: Subnet = { network: 0x0a000000, prefix: 24 };

/**
 * The next private subnet that overlaps none of the project's: of the size of the first network's, and after it.
 * In a project without any it is 10.0.0.0/24. Null where the private range of that one is full.
 */
export function freeSubnet(project: Project): Subnet | null {
  const named = inOrder(project, 'network').flatMap((network) => {
    const subnet = parseSubnet(network.subnet ?? '');
    return subnet.ok ? [subnet.value] : [];
  });
  const used = [...project.all('port')].flatMap((port) => readAddressesOf(port).flatMap((a) => a.subnet ?? []));
  const taken = [...named, ...used].filter((s) => isPrivate(s.network));
  if (taken.length === 0) return FIRST;
  const like = named.filter((s) => isPrivate(s.network))[0] ?? taken[0]!;
  const size = addressCount(like);
  for (let network = like.network + size; isPrivate(network) && network < 2 ** 32; network += size) {
    const subnet = { network, prefix: like.prefix };
    if (!taken.some((other) => overlaps(other, subnet))) return subnet;
  }
  return null;
}
