import { ownPorts } from '../../wiring/own-port.js';
import { isWorkstation, stepOf, type WorkContext } from '../context.js';
import type { Step } from '../step.js';

/** The engineer's computer on each network, the look at what is there, and setting it back at the end. */
export function ownAdapter({ project, stations, found }: WorkContext): Step[] {
  const computer = stations.find(isWorkstation);
  if (!computer) return [];
  const foundOn = new Set(found.flatMap(({ port }) => project.get('port', port ?? '')?.network ?? []));
  return ownPorts(project, computer).flatMap(({ network, port, address, toSet }) => {
    if (!port) return [];
    const own = { about: network.id };
    const was = port.address.trim() === '' ? (port.how ?? 'automatic') : port.address;
    return [
      stepOf(computer, {
        ...own,
        key: `own adapter ${network.id}`,
        kind: 'own adapter',
        what: `Set ${port.name} of ${computer.name} to ${address || 'an address'} for ${network.name}`,
        needs: [{ what: `cable from ${port.name} to ${network.name}`, stands: '' }],
        effect: toSet ? `${computer.name} leaves the network that it was on` : '',
        proof: `its own list of adapters has ${address || 'the address'} there`,
        basis: `${port.id} ${address}`,
      }),
      stepOf(computer, {
        ...own,
        key: `look ${network.id}`,
        kind: 'look',
        what: `Look what is on ${network.name}, and bring the list in`,
        proof: 'the survey has what answers there, and nothing is left to decide',
        needs: [{ what: 'the survey', stands: foundOn.has(network.id) ? 'it was looked at' : 'not looked at yet' }],
      }),
      ...(toSet
        ? [
            stepOf(computer, {
              ...own,
              key: `set back ${network.id}`,
              kind: 'set back',
              what: `Set ${port.name} of ${computer.name} back to ${was}`,
              proof: 'its own list of adapters has what it had before',
              basis: `${port.id} ${was}`,
            }),
          ]
        : []),
    ];
  });
}
