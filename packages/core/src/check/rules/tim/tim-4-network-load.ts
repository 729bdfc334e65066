import { PROJECT_ID } from '../../../model/kinds.js';
import { ASSUMED_LINK_RATE, ASSUMED_LOAD_LEVEL, mostNetworkLoad, networkLoad } from '../../../time/network-load.js';
import type { Rule } from '../../rule.js';

export const networkFull: Rule = {
  meta: {
    code: 'TIM 4',
    title: 'A network carries less than the level that the project sets',
    source: 'IEEE 802.3, frame format [from memory]; common practice: room is left for bursts and for tools',
    messages: {
      full: {
        severity: 'doubt',
        headline: '{network}: {share} % of its rate is taken, and {level} % is the level to ask at',
        says: ['{rate} Mbit/s; [[{load} Mbit/s]] by {most}, …'],
        consequence: 'Bursts and engineers’ tools make cyclic data late.',
        remedy: 'Lengthen intervals, begin with {most}, or split the network.',
      },
    },
  },
  on: {
    *network(network, { reader }) {
      if (network.kind !== 'ethernet') return;
      const level = reader.get('project', PROJECT_ID)?.loadLevel ?? ASSUMED_LOAD_LEVEL;
      // Nearly always that is far below, and no block has to be looked at.
      if (mostNetworkLoad(reader, network) * 100 < level) return;
      const { loads, bitsPerSecond, share } = networkLoad(reader, network);
      if (share * 100 < level || !loads[0]) return;
      yield {
        message: 'full',
        label: 'load',
        about: { kind: 'network', id: network.id, name: network.name },
        parties: [],
        cells: [{ kind: 'network', id: network.id, path: ['linkRate'] }],
        params: {
          network: network.name,
          share: (share * 100).toFixed(0),
          level: String(level),
          rate: String(network.linkRate ?? ASSUMED_LINK_RATE),
          load: (bitsPerSecond / 1e6).toFixed(1),
          most: loads[0].exchange.name,
        },
        subjects: [network.id],
      };
    },
  },
};
