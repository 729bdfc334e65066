import type { Change } from '../change/change.js';
import { put, set } from '../change/make.js';
import { newArea, writersOf } from '../create/new-entities.js';
import type { FirstArea } from '../model/beginning.js';
import { isTyped } from '../model/as-typed.js';
import { childrenOf, entriesInOrder } from '../model/order.js';
import type { Area } from '../model/area.js';
import type { Reader } from '../model/project.js';
import type { Station } from '../model/station.js';
import type { View } from '../model/view.js';
import { NOTATION } from '../place/notations/catalogue.js';
import { SHIPPED_PROFILES } from '../profiles/shipped.js';

/** An area with the notation in which its addresses are written. */
export interface FirstReading {
  area: Omit<FirstArea, 'order'>;
  view: View;
  /** `Memory by bytes`, `Registers as R100` */
  words: string;
}

let known: readonly FirstReading[] | null = null;

/** The areas that the shipped types begin with, each once with each way to write its addresses. */
function knownReadings(): readonly FirstReading[] {
  if (known) return known;
  const found = new Map<string, FirstReading>();
  for (const { begins, views } of SHIPPED_PROFILES) {
    for (const [, { order: _, ...area }] of entriesInOrder(begins?.areas ?? {})) {
      // That of a gateway is seen from several sides, and is of a type that says so.
      if (area.kind === 'gateway memory') continue;
      for (const [, view] of entriesInOrder(views)) {
        if (view.areaKind !== area.kind) continue;
        const { notation, prefix, unit, table } = view;
        const key = JSON.stringify([area.kind, area.wordBits, notation, prefix?.toLowerCase(), unit, table]);
        const words = `${area.name}, ${unit === 1 ? 'by bits' : unit === 8 ? 'by bytes' : 'by words'}, as ${NOTATION[notation].example(view)}`;
        if (!found.has(key)) found.set(key, { area, view, words });
      }
    }
  }
  return (known = [...found.values()]);
}

/** The ways in which an address can be read that is written as some type of station writes it; none where it is no address. */
export const readingsOf = (text: string): FirstReading[] =>
  knownReadings().filter(({ view }) => {
    const spot = NOTATION[view.notation].parse(text.trim(), view);
    return spot !== null && typeof spot !== 'string';
  });

/** Whether addresses may make the areas of a station: one of no type, which has none yet and no names either. */
export const addressesMakeAreas = (reader: Reader, station: Station | undefined): boolean =>
  station !== undefined && station.profile === null && childrenOf(reader, 'area', station.id).length === 0;

/**
 * The areas that addresses ask for at a station of which nothing is known yet: of each address that can be read in one way
 * only. Where two readings remain none is made: that is asked.
 */
export function firstAreas(
  reader: Reader,
  station: Station | undefined,
  texts: readonly string[],
  newId: () => string,
): Change[] {
  if (!station || !addressesMakeAreas(reader, station)) return [];
  const wanted = new Set(
    texts.flatMap((text) => {
      const ways = readingsOf(text);
      return ways.length === 1 ? ways : [];
    }),
  );
  return areasOf(station, [...wanted], newId);
}

function areasOf(station: Station, readings: readonly FirstReading[], newId: () => string): Change[] {
  const areas = new Map<string, { area: FirstReading['area']; views: View[] }>();
  for (const { area, view } of readings) {
    const entry = areas.get(area.name) ?? { area, views: [] };
    entry.views.push(view);
    areas.set(area.name, entry);
  }
  return [...areas.values()].map(({ area, views }, i) => {
    const { name, kind, wordBits, words } = area;
    const writers = kind === 'gateway memory' ? [] : writersOf(station);
    const own = Object.fromEntries(views.map((view, n) => [newId(), { ...view, order: (n + 1) * 10 }]));
    return put('area', {
      ...newArea(newId(), (i + 1) * 10, station.id, name),
      kind,
      wordBits,
      words,
      writers,
      views: own,
    });
  });
}

/** An area of one reading, and every address of the station that was kept as typed read by it. */
export function takeReading(reader: Reader, station: Station, reading: FirstReading, newId: () => string): Change[] {
  const changes = areasOf(station, [reading], newId);
  const area = changes[0]!.after as unknown as Area;
  const [view] = Object.keys(area.views);
  for (const end of childrenOf(reader, 'end', station.id)) {
    for (const lane of childrenOf(reader, 'lane', end.exchange)) {
      const claim = childrenOf(reader, 'claim', lane.id).find((one) => one.end === end.id);
      if (!claim?.place || !isTyped(claim.place)) continue;
      const spot = NOTATION[reading.view.notation].parse(claim.place.typed.trim(), reading.view);
      if (spot === null || typeof spot === 'string') continue;
      changes.push(set('claim', claim, ['place'], { area: area.id, view: view!, ...spot }));
    }
  }
  return changes;
}
