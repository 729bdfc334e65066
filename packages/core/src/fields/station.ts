import { set } from '../change/make.js';
import { childrenOf, entriesInOrder, inOrder } from '../model/order.js';
import type { Project } from '../model/project.js';
import type { Station } from '../model/station.js';
import { FROM_OUTSIDE, GUARDS, PARTIES, ROLES } from '../model/words.js';
import { beginAs } from '../profiles/begin-as.js';
import { profileByWords } from '../profiles/profile-by-words.js';
import { profilesToChoose } from '../profiles/shipped.js';
import { changed, parseWhole, refused, type FieldEdit } from '../text/field-edit.js';
import { entityRows, type Editing } from './field.js';
import { addressesText, editAddresses } from './station-addresses.js';
import { ofEntity } from './simple-fields.js';

const { text, note, word, words, chosen } = ofEntity('station');

/** Anything that takes part in an exchange. */
export const STATION = entityRows('station', 'station', {
  open: { title: 'Open', width: 60, quiet: true, path: null, text: () => 'Open' },
  name: {
    title: 'Station',
    width: [120, 1],
    names: true,
    counts: true,
    ...text('name'),
    examples: ['PumpCtl'],
    help: 'What everybody calls it.',
  },
  roles: {
    title: 'Roles',
    width: [120, 1],
    ...words('roles', ROLES, 'role'),
    examples: ['controller', 'operator panel, simulator'],
    help: 'What it is in this plant, with commas where it is several things.',
  },
  typeText: {
    title: 'Type',
    width: [120, 1],
    ...note('typeText'),
    examples: ['compact controller'],
    help: 'Its type in the words of its maker.',
  },
  actsAs: {
    title: 'Acts as',
    width: [120, 1],
    ...note('actsAs'),
    examples: ['remote I/O head'],
    help: 'Types that it can be entered as besides its own, with commas.',
  },
  orderCode: {
    title: 'Order code',
    width: 96,
    mono: true,
    ...note('orderCode'),
    examples: ['CC-200-E'],
    help: 'The order code on its label.',
  },
  revision: {
    title: 'Revision',
    width: 80,
    mono: true,
    ...note('revision'),
    examples: ['C', '5.2'],
    help: 'The revision of its hardware.',
  },
  description: {
    title: 'Description',
    width: 96,
    mono: true,
    ...note('description'),
    examples: ['2.3', 'gate-4, 2.3'],
    help: 'The version of the description file by which the tools of others know it.',
  },
  tool: {
    title: 'Set with tool',
    width: 96,
    mono: true,
    ...note('tool'),
    examples: ['6.1', 'Gateway setup 6.1'],
    help: 'The version of the tool with which it is set: another may not open what this one stored.',
  },
  firmware: {
    title: 'Firmware',
    width: [100, 1],
    mono: true,
    text: firmwareText,
    edit: editFirmware,
    examples: ['12.10', 'CPU 12.10, I/O 3.2'],
    help: 'The version, or each part with its version.',
  },
  scan: {
    title: 'Scan time',
    width: 80,
    mono: true,
    text: ({ scan }) => (scan ? `${scan} ms` : ''),
    edit: (station, typed) => {
      if (typed === '') return changed(set('station', station, ['scan'], null));
      const scan = parseWhole(typed.replace(/\s*ms$/, ''), 0, 3_600_000, 'a scan time in ms');
      return scan.ok ? changed(set('station', station, ['scan'], scan.value)) : refused(scan);
    },
    examples: ['20', '20 ms'],
    help: 'From one scan of its program to the next, in ms.',
  },
  runsOn: {
    title: 'Runs on',
    width: [100, 1],
    text: ({ runsOn }, project) => (runsOn ? (project.get('station', runsOn)?.name ?? '') : ''),
    options: (station, project) => others(project, station).map(({ name }) => name),
    edit: editRunsOn,
    examples: [],
    help: 'The station that hosts this software: its addresses are then the host’s.',
  },
  profile: {
    title: 'Profile',
    width: [140, 1.4],
    text: ({ profile }, project) => (profile ? (project.get('profile', profile)?.name ?? '') : ''),
    options: (_, project) => profilesToChoose(project).map(({ name }) => name),
    edit: editProfile,
    examples: [],
    help: 'What is known of its type: how it counts, what it begins with, what it can take. Words of its name will do.',
  },
  party: {
    title: 'Responsibility',
    width: 96,
    ...word('party', PARTIES, 'responsibility'),
    examples: ['ours', 'external'],
    help: 'Who engineers it: ours, external (only described to us), or in another project.',
  },
  supplier: {
    title: 'Supplier',
    width: [100, 0.8],
    ...note('supplier'),
    examples: ['the pump supplier'],
    help: 'Who answers for it.',
  },
  takenFrom: {
    title: 'Taken from',
    width: [140, 1],
    text: ({ takenFrom }) => (takenFrom ? `${takenFrom.project}, ${takenFrom.station}, ${takenFrom.revision}` : ''),
    edit: editTakenFrom,
    examples: ['Harbour works, GateCtl, 12'],
    help: 'Of another project: that project, the station there, and the revision that was taken.',
  },
  newest: {
    title: 'Newest there',
    width: 90,
    mono: true,
    path: ['takenFrom', 'newest'],
    has: ({ takenFrom }) => Boolean(takenFrom),
    text: ({ takenFrom }) => takenFrom?.newest ?? '',
    edit: (station, typed) => {
      const { takenFrom } = station;
      const expected = 'say first what was taken, as in Harbour works, GateCtl, 12';
      if (!takenFrom) return refused({ found: `${station.name} is of this project`, expected });
      const newest = typed.replace(/^revision\s+/i, '') || null;
      return changed(set('station', station, ['takenFrom'], { ...takenFrom, newest }));
    },
    examples: ['14'],
    help: 'The newest revision that is known to be there.',
  },
  guard: {
    title: 'Access',
    width: 90,
    ...chosen('guard', GUARDS, 'kind of access', null),
    examples: [GUARDS[0]],
    help: 'How it is guarded against changes.',
  },
  fromOutside: {
    title: 'Remote access',
    width: 90,
    ...chosen('fromOutside', FROM_OUTSIDE, 'kind of access from outside', null),
    examples: [FROM_OUTSIDE[0]],
    help: 'What it lets others do with its data; empty: not known.',
  },
  addresses: {
    title: 'Addresses',
    width: 140,
    mono: true,
    path: null,
    counts: true,
    text: addressesText,
    edit: editAddresses,
    examples: ['10.8.2.12/24', '.12', 'free'],
    help: 'Of its Ethernet ports, with commas: whole, or .12 or free within the network. Its network is the one that holds it; where there is none, one is made.',
  },
  exchanges: {
    title: 'Exchanges',
    width: 76,
    right: true,
    path: null,
    text: ({ id }, project) => String(new Set(childrenOf(project, 'end', id).map((end) => end.exchange)).size),
  },
  findings: { title: 'Findings', width: 110, path: null, text: () => '' },
  comment: {
    title: 'Comment',
    width: [100, 1],
    ...note('comment'),
    examples: ['spare in the cabinet'],
    help: 'Anything worth knowing.',
  },
});

const others = (project: Project, station: Station) => inOrder(project, 'station').filter((s) => s.id !== station.id);

function editRunsOn(station: Station, text: string, { project }: { project: Project }): FieldEdit {
  if (text === '') return changed(set('station', station, ['runsOn'], null));
  const host = others(project, station).find((s) => s.name.toLowerCase() === text.toLowerCase());
  if (host) return changed(set('station', station, ['runsOn'], host.id));
  const names = others(project, station).map((s) => s.name);
  const expected = `there are ${names.slice(0, 8).join(', ') || 'none yet'}`;
  return refused({ found: `“${text}” is not another station`, expected });
}

function editProfile(station: Station, text: string, { project, newId }: Editing): FieldEdit {
  if (text === '') return changed(set('station', station, ['profile'], null));
  const profile = profileByWords(project, text);
  return profile.ok ? changed(...beginAs(project, station, profile.value, newId)) : refused(profile);
}

function editTakenFrom(station: Station, text: string): FieldEdit {
  if (text === '') return changed(set('station', station, ['takenFrom'], null));
  const [project = '', name = '', typed = '', ...more] = text.split(',').map((part) => part.trim());
  const revision = typed.replace(/^revision\s+/i, '');
  if (project === '' || name === '' || revision === '' || more.length > 0) {
    const expected = 'write the project, the station there and the revision, as in Harbour works, GateCtl, 12';
    return refused({ found: `“${text}” names no station of another project`, expected });
  }
  // What is known of the other project stays, whichever of its revisions was taken.
  const known = station.takenFrom?.project === project ? station.takenFrom.newest : null;
  const taken = { project, station: name, revision, ...(known ? { newest: known } : {}) };
  return changed(set('station', station, ['takenFrom'], taken), set('station', station, ['party'], 'in another project'));
}

/** `CPU 12.10, I/O 3.2` */
function firmwareText(station: Station): string {
  return entriesInOrder(station.firmware ?? {})
    .map(([, { part, version }]) => `${part} ${version}`.trim())
    .join(', ');
}

/** One part or several, each with its version last. Parts that are there already keep their keys. */
function editFirmware(station: Station, text: string): FieldEdit {
  if (text === '') return changed(set('station', station, ['firmware'], null));
  const known = entriesInOrder(station.firmware ?? {});
  const parts: Record<string, { order: number; part: string; version: string }> = {};
  for (const [i, piece] of text.split(',').entries()) {
    const match = /^(.*?)\s*([vV]?\d\S*)$/.exec(piece.trim());
    if (!match) {
      const expected = 'write the part and its version, as CPU 12.10';
      return refused({ found: `“${piece.trim()}” has no version`, expected });
    }
    const part = match[1]!.trim();
    const key = known.find(([, f]) => f.part === part)?.[0] ?? `part-${i + 1}`;
    parts[key] = { order: (i + 1) * 10, part, version: match[2]! };
  }
  return changed(set('station', station, ['firmware'], parts));
}
