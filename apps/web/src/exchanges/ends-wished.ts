import { apply, type Change } from '@dialoga/core/change';
import { stationFromLine } from '@dialoga/core/fields';
import { inOrder, type Project, type Station } from '@dialoga/core/model';
import { connectionsUsed } from '@dialoga/core/wiring';

/** The two stations of an exchange that is being begun: each is there, or is made from what was typed of it. */
export interface EndsWished {
  /** with what is made */
  project: Project;
  changes: Change[];
  stations: readonly [Station | undefined, Station | undefined];
  /** of each: connections used of those that it may have, or that it is made, and what of the text was not taken */
  words: readonly [string, string];
}

/** The stations that two texts mean: a name, or a new station in one line as `OvenCtl, byte memory, 10.8.2.9`. */
export function endsWished(project: Project, texts: readonly [string, string], newId: () => string): EndsWished {
  const changes: Change[] = [];
  let now = project;
  const [left, right] = texts.map((text) => {
    const clean = text.trim();
    if (clean === '') return { words: '' };
    const known = inOrder(now, 'station').find(({ name }) => name.toLowerCase() === clean.toLowerCase());
    if (known) return { station: known, words: connectionsUsed(project, known).join(', ') };
    const made = stationFromLine(now, clean, newId);
    const applied = apply(now, { id: 'end', label: '', changes: made.changes });
    if (!applied.ok) return { words: applied.refusal.sentence };
    changes.push(...made.changes);
    now = now.with(applied.entities);
    const station = now.get('station', made.id)!;
    const type = station.profile ? (now.get('profile', station.profile)?.name ?? '') : 'of no known type';
    return { station, words: [`${station.name} is made, ${type}`, ...made.unread].join('; ') };
  });
  return {
    project: now,
    changes,
    stations: [left?.station, right?.station],
    words: [left?.words ?? '', right?.words ?? ''],
  };
}
