import { childrenOf, type Project } from '@dialoga/core/model';

/** A panel or a SCADA station has no addresses of its own: what its list calls an address is another station's. */
export const hasOwnAddresses = (project: Project, station: string): boolean =>
  childrenOf(project, 'area', station).length > 0;
