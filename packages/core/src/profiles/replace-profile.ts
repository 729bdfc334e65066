import { formatAddress } from '../place/format-address.js';
import { memoryOf } from '../place/memory.js';
import type { Change } from '../change/change.js';
import { put, set } from '../change/make.js';
import { isTyped } from '../model/as-typed.js';
import type { Claim, Place } from '../model/claim.js';
import { ASSUMED_LAYOUT } from '../model/layout-defaults.js';
import { childrenOf, entriesInOrder } from '../model/order.js';
import type { Profile } from '../model/profile.js';
import type { Project } from '../model/project.js';
import type { Station } from '../model/station.js';
import type { View } from '../model/view.js';
import type { AreaKind } from '../model/words.js';

/** An address of the station that is written otherwise under the new type. */
export interface Converted {
  claim: Claim;
  before: string;
  after: string;
  place: Place;
}

/** What becomes of a station when its type is another. */
export interface Replacement {
  /** rules for values in memory that are others, in words */
  rules: readonly string[];
  converted: readonly Converted[];
  /** addresses that the new type cannot write; they are emptied */
  lost: readonly { claim: Claim; before: string }[];
  changes: readonly Change[];
}

const RULE_WORDS = {
  byteOrder: 'bytes in a word',
  registerOrder: '32-bit values',
  boolPacking: 'a BOOL takes a',
  stringHeader: 'header of a text',
  alignment: 'alignment',
} as const;

/** Another profile for a station: its places are written in views of the new one, where they lie at the same bits. */
export function replaceProfile(project: Project, station: Station, next: Profile | null): Replacement {
  const old = station.profile ? project.get('profile', station.profile) : undefined;
  const converted: Converted[] = [];
  const lost: { claim: Claim; before: string }[] = [];
  // One that comes with Dialoga is taken into the project.
  const taken = next !== null && !project.get('profile', next.id) ? next : null;
  const changes: Change[] = [
    ...(taken ? [put('profile', taken)] : []),
    set('station', station, ['profile'], next?.id ?? null),
  ];
  const after = project.with([
    ...(taken ? [{ kind: 'profile' as const, id: taken.id, before: undefined, after: taken }] : []),
    { kind: 'station', id: station.id, before: station, after: { ...station, profile: next?.id ?? null } },
  ]);
  for (const area of childrenOf(project, 'area', station.id)) {
    for (const id of project.referrers('claim', area.id)) {
      const claim = project.get('claim', id);
      if (!claim?.place || isTyped(claim.place) || claim.place.view in area.views) continue;
      const view = old?.views[claim.place.view];
      const memory = memoryOf(project, area.id);
      if (!view || !memory) continue;
      const before = formatAddress(memory, claim.place);
      const place = placeIn(claim.place, view, area.kind, next);
      const changed = memoryOf(after, area.id);
      if (!place || !changed) {
        lost.push({ claim, before });
        changes.push(set('claim', claim, ['place'], { typed: before }));
      } else if (place.view !== claim.place.view || place.number !== claim.place.number) {
        converted.push({ claim, before, after: formatAddress(changed, place), place });
        changes.push(set('claim', claim, ['place'], place));
      }
    }
  }
  const fields = Object.keys(RULE_WORDS) as (keyof typeof RULE_WORDS)[];
  const rules = fields.flatMap((field) => {
    const [was, is] = [old?.layout[field] ?? ASSUMED_LAYOUT[field], next?.layout[field] ?? ASSUMED_LAYOUT[field]];
    const own = station.layout?.[field] !== undefined;
    return was === is || own ? [] : [`${RULE_WORDS[field]}: ${was} → ${is}`];
  });
  return { rules, converted, lost, changes };
}

/** The same bits in a view of the new profile for this kind of area: one of the same unit first. */
function placeIn(place: Place, view: View, kind: AreaKind, next: Profile | null): Place | null {
  const views = entriesInOrder(next?.views ?? {}).filter(([, v]) => v.areaKind === kind);
  const start = (place.number - view.first) * view.unit + (view.base ?? 0);
  const ordered = [...views].sort(([, a], [, b]) => Number(b.unit === view.unit) - Number(a.unit === view.unit));
  for (const [id, other] of ordered) {
    const bits = start - (other.base ?? 0);
    const sameBit = place.bit === undefined || (other.unit === view.unit && other.bitNumbering === view.bitNumbering);
    if (bits < 0 || bits % other.unit !== 0 || !sameBit) continue;
    const { bit } = place;
    return {
      area: place.area,
      view: id,
      number: bits / other.unit + other.first,
      ...(bit === undefined ? {} : { bit }),
    };
  }
  return null;
}
