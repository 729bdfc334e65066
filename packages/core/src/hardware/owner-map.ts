import { childrenOf, inOrder } from '../model/order.js';
import type { Module } from '../model/module.js';
import type { Project } from '../model/project.js';
import type { Rack } from '../model/rack.js';
import type { Station } from '../model/station.js';
import { formatRadioPlace, radioPlaceOf, type RadioPlace } from '../wiring/radio-block.js';
import type { LandingRole } from '../model/words.js';

/** One module and what each controller says of it. */
export interface OwnerRow {
  station: Station;
  rack: Rack;
  module: Module;
  /** by controller */
  roles: Readonly<Record<string, LandingRole>>;
  /** what is to be noticed; empty: nothing */
  notice: string;
}

export interface OwnerMap {
  /** every station that claims a module, in order */
  controllers: readonly Station[];
  rows: readonly OwnerRow[];
}

/** Who owns and who listens to each module of the plant that puts data into an image or takes it out, rack by rack. */
export function ownerMapOf(project: Project): OwnerMap {
  const landings = [...project.all('landing')];
  const claiming = new Set(landings.map((l) => l.station));
  const controllers = inOrder(project, 'station').filter((s) => claiming.has(s.id));
  const rows = inOrder(project, 'station').flatMap((station) =>
    childrenOf(project, 'rack', station.id).flatMap((rack) =>
      childrenOf(project, 'module', rack.id)
        .filter((m) => m.inputs + m.outputs > 0)
        .sort((a, b) => (a.slot ?? Infinity) - (b.slot ?? Infinity))
        .map((module): OwnerRow => {
          const own = childrenOf(project, 'landing', module.id);
          const roles = Object.fromEntries(own.map((l) => [l.station, l.role]));
          const radio = radioPlaceOf(project, module);
          const notice = radio ? mirroredWords(project, radio) : noticeOf(station, module, roles);
          return { station, rack, module, roles, notice };
        }),
    ),
  );
  return { controllers, rows };
}

function mirroredWords(project: Project, place: RadioPlace): string {
  return `mirrored into ${project.get('station', place.base)?.name ?? 'its base'}, ${formatRadioPlace(place)}`;
}

function noticeOf(station: Station, module: Module, roles: Record<string, LandingRole>): string {
  const owners = Object.values(roles).filter((role) => role === 'owner').length;
  if (owners > 1 && module.outputs > 0) return `${owners} owners of its outputs`;
  if (owners === 0) return Object.keys(roles).length === 0 ? 'nobody claims it' : 'nobody owns it';
  return station.roles.includes('controller') && roles[station.id] !== 'owner' ? 'owned from elsewhere' : '';
}
