import { newArea } from '../create/new-entities.js';
import type { Landing } from '../model/landing.js';
import type { Project } from '../model/project.js';
import { smallPlant } from '../testing/random-edits.testing.js';
import { added, edited } from '../testing/two-stations.testing.js';

/** A writes points as `{station}:{slot}:{kind}.{channel}`, and has the outputs of the module in slot 1 of D at %QB10. */
export function pointsOfA(): { project: Project; landing: Landing } {
  const image = added(smallPlant(), 'area', {
    ...newArea('imagea', 20, 'sa', 'Output image'),
    kind: 'output image',
    wordBits: 8,
    words: 64,
    views: { q: { order: 10, name: 'bytes', notation: 'iec bytes', prefix: 'Q', unit: 8, first: 0 } },
  });
  const project = edited(
    image,
    ['profile', 'pa', 'pointText', { text: '{station}:{slot}:{kind}.{channel}', source: 'its manual' }],
    ['landing', 'l2', 'outputsAt', { area: 'imagea', view: 'q', number: 10, width: 8 }],
  );
  return { project, landing: project.get('landing', 'l2')! };
}
