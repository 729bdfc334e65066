import { childrenOf } from '../../model/order.js';
import { stepOf, type WorkContext } from '../context.js';
import type { Step } from '../step.js';

/** Each rotary switch, and reading it in by its button. */
export function rotarySwitches({ project, stations }: WorkContext): Step[] {
  return stations.flatMap((station) =>
    childrenOf(project, 'rack', station.id)
      .flatMap(({ id }) => childrenOf(project, 'module', id))
      .flatMap((module) => {
        const dial = (module.dial ?? '').trim();
        if (dial === '') return [];
        const name = `${module.name || module.kind} of ${station.name}`;
        return [
          stepOf(station, {
            key: `rotary switch ${module.id}`,
            kind: 'rotary switch',
            what: `Turn the rotary switch of ${name} to ${dial}`,
            fields: [`module ${module.id} dial`],
            needs: [{ what: 'a small screwdriver', stands: '' }],
            proof: `it stands at ${dial}`,
            basis: dial,
          }),
          stepOf(station, {
            key: `read in ${module.id}`,
            kind: 'read in',
            what: `Read in the rotary switch of ${name} by its button`,
            proof: 'its lamp says so, or the base shows the module at its new place',
            misleads: [{ what: `until then ${name} goes by its former switch`, until: 'this step' }],
            basis: dial,
          }),
        ];
      }),
  );
}
