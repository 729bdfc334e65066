import type { Claim } from '../model/claim.js';
import { childrenOf } from '../model/order.js';
import type { Project } from '../model/project.js';

/** What is bound to a tag: claims of any exchange, and copies; by their names. */
export function boundTo(project: Project, tag: string): string[] {
  const claims = childrenOf(project, 'claim', tag).map((claim) => claimWords(project, claim));
  const copies = childrenOf(project, 'copy', tag).map((copy) => `copy ${copy.name}`);
  return [...claims, ...copies];
}

function claimWords(project: Project, claim: Claim): string {
  const lane = project.get('lane', claim.lane);
  const exchange = lane && project.get('exchange', lane.exchange);
  return `${exchange?.name ?? ''}, ${claim.name || 'a block'}`;
}
