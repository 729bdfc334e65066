import { lanesFromDials, lanesFromLandings, type Change, type Exchange, type Project } from '@dialoga/core';
import { newId } from '../store/new-id';

/** What would make the lanes of an exchange what they follow from: landings, or the dials of radio modules. */
export function lanesMade(project: Project, exchange: Exchange): { label: string; changes: Change[] } {
  if (exchange.kind === 'remote I/O') {
    return { label: 'Lanes from the landings', changes: lanesFromLandings(project, exchange, newId) };
  }
  if (exchange.protocol === 'radio-mirror') {
    return { label: 'Lanes from the dials', changes: lanesFromDials(project, exchange, newId) };
  }
  return { label: '', changes: [] };
}
