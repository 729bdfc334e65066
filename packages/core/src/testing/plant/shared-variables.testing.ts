import type { Exchange } from '../../model/exchange.js';
import { claimOf, someBlock } from './blocks.testing.js';
import { told, type Plant } from './plant.testing.js';

/** What was decided for the time without a link. */
export const DECIDED: Exchange['onLoss'] = {
  sinks: 'go to zero',
  source: 'is told by a status',
  back: 'wait for a release',
};

/** One controller offers arrays; two or three others take them in a rhythm. */
export function sharedVariables(plant: Plant): void {
  const { dice } = plant;
  const sorts = dice.once(2) ? (['words', 'references', 'bytes'] as const) : (['digits', 'elements'] as const);
  const offers = plant.controller({ sort: dice.pick(sorts) });
  const exchange = plant.exchange('Shared', 'cip', {
    kind: 'shared variables',
    transfer: 'cyclic blocks',
    cadence: 100,
    timeout: 500,
    onLoss: { ...DECIDED },
  });
  const listens = plant.end(exchange, offers.id, offers.port, 'listens');
  const takers = Array.from({ length: dice.from(1, 3) }, () => plant.controller({ sort: dice.pick(sorts) }));
  const ends = takers.map((taker) => {
    const at = { [listens.id]: told({ address: offers.address }) };
    return { taker, end: plant.end(exchange, taker.id, taker.port, 'calls', { told: at }) };
  });
  for (let i = dice.from(1, 3); i > 0; i--) {
    const block = someBlock(dice, 40);
    const lane = plant.lane(exchange);
    exchange.watchedBy ??= lane;
    plant.meant(lane, block.values);
    plant.claim(lane, listens, {
      ...claimOf(plant, block, offers.memory, offers.memory.take(block.words)),
      direction: 'writes',
      open: 'may read',
    });
    for (const { taker, end } of ends) {
      plant.claim(lane, end, { ...claimOf(plant, block, taker.memory, taker.memory.take(block.words)) });
    }
  }
}
