import { put, set } from '../change/make.js';
import { entriesInOrder, inOrder } from '../model/order.js';
import type { Project } from '../model/project.js';
import type { Station } from '../model/station.js';
import { FROM_OUTSIDE, GUARDS, PARTIES, ROLES, type Role } from '../model/words.js';
import { profilesToChoose } from '../profiles/shipped.js';
import { changed, parseWhole, parseWord, refused, type FieldEdit } from '../text/field-edit.js';

export type StationColumn =
  | 'name'
  | 'roles'
  | 'typeText'
  | 'orderCode'
  | 'revision'
  | 'profile'
  | 'actsAs'
  | 'takenFrom'
  | 'newest'
  | 'party'
  | 'supplier'
  | 'scan'
  | 'runsOn'
  | 'guard'
  | 'fromOutside'
  | 'firmware'
  | 'comment';

/**
 * Typed text into one field of a station. Roles are separated by commas; a profile, and the station that it runs on, are
 * named; firmware is written part by part, as `CPU 12.10, I/O 3.2`.
 */
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
      const profiles = profilesToChoose(project);
      const found = profiles.find((p) => p.name.toLowerCase() === clean.toLowerCase());
      // One that comes with Dialoga is taken into the project with the first station of it.
      const taken = found && !project.get('profile', found.id) ? [put('profile', found)] : [];
      if (found) return changed(...taken, set('station', station, ['profile'], found.id));
      const names = profiles.map((p) => p.name).join(', ');
      return refused({ found: `“${text}” is no profile`, expected: `profiles: ${names}` });
    }
    case 'scan': {
      if (clean === '') return changed(set('station', station, ['scan'], null));
      const scan = parseWhole(clean.replace(/\s*ms$/, ''), 0, 3_600_000, 'a scan time in ms');
      return scan.ok ? changed(set('station', station, ['scan'], scan.value)) : refused(scan);
    }
    case 'runsOn': {
      if (clean === '') return changed(set('station', station, ['runsOn'], null));
      const others = inOrder(project, 'station').filter((s) => s.id !== station.id);
      const host = others.find((s) => s.name.toLowerCase() === clean.toLowerCase());
      if (host) return changed(set('station', station, ['runsOn'], host.id));
      const names = others.map((s) => s.name).slice(0, 8);
      return refused({
        found: `“${text}” is no other station`,
        expected: `there are ${names.join(', ') || 'none yet'}`,
      });
    }
    case 'fromOutside': {
      if (clean === '') return changed(set('station', station, ['fromOutside'], null));
      const allowed = parseWord(clean, FROM_OUTSIDE, 'kind of access from outside');
      return allowed.ok ? changed(set('station', station, ['fromOutside'], allowed.value)) : refused(allowed);
    }
    case 'guard': {
      if (clean === '') return changed(set('station', station, ['guard'], null));
      const guard = parseWord(clean, GUARDS, 'kind of access');
      return guard.ok ? changed(set('station', station, ['guard'], guard.value)) : refused(guard);
    }
    case 'takenFrom': {
      if (clean === '') return changed(set('station', station, ['takenFrom'], null));
      const taken = readTakenFrom(clean);
      const expected = 'write the project, the station there and the revision, as in Harbour works, GateCtl, 12';
      if (!taken) return refused({ found: `“${text}” names no station of another project`, expected });
      return changed(
        set('station', station, ['takenFrom'], { ...taken, ...newestOf(station, taken) }),
        set('station', station, ['party'], 'in another project'),
      );
    }
    case 'newest': {
      const { takenFrom } = station;
      const expected = 'say first what was taken, as in Harbour works, GateCtl, 12';
      if (!takenFrom) return refused({ found: `${station.name} is of this project`, expected });
      const newest = clean.replace(/^revision\s+/i, '') || null;
      return changed(set('station', station, ['takenFrom'], { ...takenFrom, newest }));
    }
    case 'firmware':
      return firmware(station, clean);
    case 'name':
      return changed(set('station', station, [column], clean));
    default:
      return changed(set('station', station, [column], clean || undefined));
  }
}

/** `Harbour works, GateCtl, 12` */
export const takenFromText = ({ takenFrom }: Station): string =>
  takenFrom ? `${takenFrom.project}, ${takenFrom.station}, ${takenFrom.revision}` : '';

/** What is known of the other project stays, whichever of its revisions was taken. */
const newestOf = ({ takenFrom }: Station, taken: NonNullable<Station['takenFrom']>) =>
  takenFrom?.newest && takenFrom.project === taken.project ? { newest: takenFrom.newest } : {};

function readTakenFrom(text: string): NonNullable<Station['takenFrom']> | null {
  const [project = '', station = '', revision = '', ...more] = text.split(',').map((part) => part.trim());
  const number = revision.replace(/^revision\s+/i, '');
  return project !== '' && station !== '' && number !== '' && more.length === 0
    ? { project, station, revision: number }
    : null;
}

/** `CPU 12.10, I/O 3.2` */
export function firmwareText(station: Station): string {
  return entriesInOrder(station.firmware ?? {})
    .map(([, { part, version }]) => `${part} ${version}`.trim())
    .join(', ');
}

/** One part or several, each with its version last. Parts that are there already keep their keys. */
function firmware(station: Station, text: string): FieldEdit {
  if (text === '') return changed(set('station', station, ['firmware'], null));
  const known = entriesInOrder(station.firmware ?? {});
  const parts: Record<string, { order: number; part: string; version: string }> = {};
  for (const [i, piece] of text.split(',').entries()) {
    const match = /^(.*?)\s*([vV]?\d\S*)$/.exec(piece.trim());
    if (!match) {
      return refused({
        found: `“${piece.trim()}” has no version`,
        expected: 'write the part and its version, as CPU 12.10',
      });
    }
    const part = match[1]!.trim();
    const key = known.find(([, f]) => f.part === part)?.[0] ?? `part-${i + 1}`;
    parts[key] = { order: (i + 1) * 10, part, version: match[2]! };
  }
  return changed(set('station', station, ['firmware'], parts));
}
