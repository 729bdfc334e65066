import { set } from '../change/make.js';
import { inOrder } from '../model/order.js';
import type { Project } from '../model/project.js';
import type { Station } from '../model/station.js';
import { PARTIES, ROLES, type Role } from '../model/words.js';
import { changed, parseWord, refused, type FieldEdit } from './field-edit.js';

export type StationColumn = 'name' | 'roles' | 'typeText' | 'profile' | 'party' | 'supplier' | 'comment';

/** Typed text into one field of a station. Roles are separated by commas; a profile is named. */
export function editStation(project: Project, station: Station, column: StationColumn, text: string): FieldEdit {
  const clean = text.trim();
  switch (column) {
    case 'roles': {
      const roles: Role[] = [];
      for (const part of clean.split(',').filter((p) => p.trim() !== '')) {
        const role = parseWord(part, ROLES, 'role');
        if (!role.ok) return refused(role);
        if (!roles.includes(role.value)) roles.push(role.value);
      }
      return changed(set('station', station, ['roles'], roles));
    }
    case 'party': {
      const party = parseWord(clean, PARTIES, 'party');
      return party.ok ? changed(set('station', station, ['party'], party.value)) : refused(party);
    }
    case 'profile': {
      if (clean === '') return changed(set('station', station, ['profile'], null));
      const profiles = inOrder(project, 'profile');
      const found = profiles.find((p) => p.name.toLowerCase() === clean.toLowerCase());
      if (found) return changed(set('station', station, ['profile'], found.id));
      const names = profiles.map((p) => p.name).join(', ') || 'there are none yet';
      return refused({ found: `“${text}” is no profile`, expected: `profiles: ${names}` });
    }
    default:
      return changed(set('station', station, [column], clean));
  }
}
