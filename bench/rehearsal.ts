import { Project, type Entity, type Kind } from '@dialoga/core/model';
import { Plant, walkAll } from '@dialoga/core/rehearse';
import { tenWords } from './generate-words.js';
import { timed, type Row } from './row.js';

/** Transfers of ten words that one thread is to make in a second of virtual time’s work. */
const LEAST_A_SECOND = 200_000;
const MOST_WALK_MS = 60_000;

/** The walk of the largest project, and the plant in virtual time. */
export function rehearsalRows(entities: Partial<Record<Kind, Entity[]>>): Row[] {
  const project = Project.of(entities);
  let words = '';
  const walk = timed(() => {
    const { walks, values, bits, passed } = walkAll(project, {}, { by: '', at: '', revision: 0 });
    words = `${walks.length} lanes, ${values.toLocaleString('en')} values, ${bits.toLocaleString('en')} bits, ${passed} come through`;
  });
  const plant = new Plant(tenWords({ partners: 1, lanes: 50, cadence: 1 }));
  // The first pass makes the machine warm.
  plant.advance(10_000);
  const before = plant.transfers;
  const ran = timed(() => plant.advance(10_000_000));
  const aSecond = ((plant.transfers - before) / ran) * 1000;
  return [
    {
      work: `walk of all lanes: ${words}`,
      figure: `${(walk / 1000).toFixed(1)} s`,
      aim: `under ${MOST_WALK_MS / 1000} s`,
      met: walk < MOST_WALK_MS,
    },
    {
      work: 'virtual time: transfers of 10 words a second, in one thread',
      figure: `${Math.round(aSecond).toLocaleString('en')}`,
      aim: `at least ${LEAST_A_SECOND.toLocaleString('en')}`,
      met: aSecond >= LEAST_A_SECOND,
    },
  ];
}
