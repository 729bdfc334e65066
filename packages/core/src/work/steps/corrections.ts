import { toCorrect } from '../../survey/decide.js';
import type { WorkContext } from '../context.js';
import { stepOf } from '../context.js';
import type { Step } from '../step.js';

/** Devices that the survey says must change, beyond an address or a name, which have steps of their own. */
export function corrections({ project, found }: WorkContext): Step[] {
  return found.flatMap((row) => {
    const station = row.state === 'correct' ? project.get('station', row.station ?? '') : undefined;
    const rest = row.differences.filter(({ fact }) => fact !== 'address' && fact !== 'deviceName');
    if (!station || rest.length === 0) return [];
    const words = toCorrect({ differences: rest, states: [] }).join('; ');
    return [
      stepOf(station, {
        key: `set by cable ${station.id} found`,
        kind: 'set by cable',
        what: `${station.name}: ${words}`,
        needs: [{ what: `the device found as ${project.get('found', row.id)?.address || 'it is'}`, stands: 'found' }],
        effect: row.contradicts.length > 0 ? 'its exchanges stand while it is exchanged' : '',
        proof: 'found again, it is as planned',
      }),
    ];
  });
}
