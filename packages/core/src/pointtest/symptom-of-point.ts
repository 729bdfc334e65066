import { explainSeen, type Explanation } from '../lab/explain-seen.js';
import type { Project } from '../model/project.js';
import { symptomOfSeen } from '../symptom/symptom-of-seen.js';
import type { Point } from './point.js';

/** What explains a point that was not seen, and the symptom that leads to its causes. */
export interface WhyNotSeen {
  /** in one sentence each, likeliest first */
  explanations: readonly Explanation[];
  /** the id of a symptom */
  symptom: string;
}

/** Why a point may not be seen: by what was expected and what stood there instead; empty: nothing moved. */
export function whyNotSeen(project: Project, { sort, exchange }: Point, expected: string, saw: string): WhyNotSeen {
  const nothing = project.get('exchange', exchange)?.kind === 'tag map' ? 'points-unbound' : 'nothing-moves';
  if (sort !== 'value') return { explanations: [], symptom: 'cannot-reach' };
  if (saw.trim() === '') return { explanations: [], symptom: nothing };
  const found = explainSeen(bare(expected), bare(saw));
  const explanations = typeof found === 'string' ? [] : found;
  const [first] = explanations;
  return { explanations, symptom: (first && symptomOfSeen(first.cause)) ?? 'wrong-place' };
}

/** Without what it stands for in the unit of its tag. */
const bare = (text: string): string => text.split(' = ')[0]!.replaceAll('−', '-').trim();
