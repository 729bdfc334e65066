import { IN_TAG, type Claim } from '../../model/claim.js';
import type { Tag } from '../../model/tag.js';
import { told, type Member, type Plant } from './plant.testing.js';

const SIZES = { INT: 1, WORD: 1, REAL: 2 } as const;

/** A panel asks for single values of a controller by their addresses, and sets some of them. */
export function panelTags(plant: Plant): void {
  const { dice } = plant;
  const controller = plant.controller({ sort: dice.pick(['words', 'references', 'offsets', 'bytes'] as const) });
  const station = plant.station('Panel', { roles: ['operator panel'], profile: 'profile-panel', scan: 200 });
  const port = plant.port(station, plant.lan, { purpose: 'panel' });
  const exchange = plant.exchange('Panel', 'modbus-tcp', {
    kind: 'tag map',
    cadence: 1000,
    timeout: 3000,
    binding: 'by address',
    onLoss: { notRepeated: 'entered again by hand' },
  });
  const listens = plant.end(exchange, controller.id, controller.port, 'listens');
  const at = { [listens.id]: told({ address: controller.address }) };
  const calls = plant.end(exchange, station.id, port.id, 'calls', { told: at });
  // Whose word stands of what both set is a part of the truth.
  plant.has('area').find(({ id }) => id === controller.memory.area)!.lastWord = 'the panel';
  for (let i = dice.from(3, 10); i > 0; i--) {
    const base = dice.pick(Object.keys(SIZES) as (keyof typeof SIZES)[]);
    const word = controller.memory.take(SIZES[base]);
    const sets = dice.once(3);
    const address = controller.memory.text(word);
    const unit = base === 'REAL' ? { unit: dice.pick(['bar', '°C', 'kg']) } : {};
    const mine = tagOf(plant, station.id, base, { access: sets ? 'read and set' : 'read', asks: address, ...unit });
    const theirs = tagOf(plant, controller.id, base, { place: controller.memory.place(word), ...unit });
    const lane = plant.lane(exchange);
    const value = (tag: Tag, rest: Partial<Claim>) => ({
      ...inTag(tag),
      length: { count: SIZES[base], unit: 16 as const },
      ...rest,
    });
    plant.claim(lane, calls, {
      ...value(mine, {
        direction: sets ? 'both' : 'reads',
        toldPlace: address,
        ...(sets ? { trigger: 'on change' } : {}),
      }),
    });
    plant.claim(lane, listens, value(theirs, { direction: sets ? 'both' : 'writes' }));
  }
}

export function tagOf(plant: Plant, station: string, base: string, rest: Partial<Tag> = {}): Tag {
  const tag: Tag = {
    id: plant.id('tag'),
    order: plant.order,
    station,
    name: plant.word(),
    type: { base, count: 1 },
    place: null,
    ...rest,
  };
  plant.put('tag', tag);
  return tag;
}

export const inTag = (tag: Tag): Pick<Claim, 'name' | 'place' | 'type'> => ({
  name: tag.name,
  type: { ...(tag.type as { base: string; count: number }) },
  place: { area: tag.id, view: IN_TAG, number: 0 },
});

export type Controller = Member;
