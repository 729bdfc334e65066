import type { Project } from '@dialoga/core/model';
import type { PlacedStep } from '@dialoga/core/work';

const OF_KIND: Readonly<Partial<Record<PlacedStep['kind'], string>>> = {
  address: 'not-after-change',
  'device name': 'keeps-blinking',
  'read in': 'one-module',
  'rotary switch': 'one-module',
  load: 'cannot-reach',
  start: 'loaded-nothing-runs',
  connect: 'never-connected',
  test: 'nothing-moves',
};

/** The symptom that a step which failed shows as a rule. */
export function symptomOfStep(project: Project, { kind, about }: PlacedStep): string {
  const isTags = project.get('exchange', about ?? '')?.kind === 'tag map';
  return isTags && (kind === 'connect' || kind === 'publish') ? 'tag-list-empty' : (OF_KIND[kind] ?? 'cannot-reach');
}
