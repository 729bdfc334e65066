import { apply } from '../change/apply.js';
import { sizeInRow } from '../data/layout.js';
import { parseType } from '../data/types.js';
import { stationFromLine } from '../fields/station-line.js';
import { Project } from '../model/project.js';
import { memoriesOf, type Memory } from '../place/memory.js';
import { parseAsWritten } from '../place/parse-address.js';
import { locate } from '../place/resolve.js';
import { SHIPPED_PROFILES } from '../profiles/shipped.js';

interface ReadyType {
  name: string;
  memories: readonly Memory[];
}
let types: readonly ReadyType[] | null = null;

/** The shipped types whose stations begin with areas, with those areas. */
function readyTypes(): readonly ReadyType[] {
  types ??= SHIPPED_PROFILES.flatMap(({ name, begins }) => {
    if (!begins || Object.keys(begins.areas).length === 0) return [];
    let ids = 0;
    const { changes, id } = stationFromLine(Project.of({}), ['X', name], () => `n${++ids}`);
    const applied = apply(Project.of({}), { id: 'type', label: '', changes });
    return applied.ok ? [{ name, memories: memoriesOf(Project.of({}).with(applied.entities), id) }] : [];
  });
  return types;
}

/** Where a value lies in its area, in bits along the row of its view. */
interface Lying {
  where: string;
  from: number;
  to: number;
}

/**
 * The shipped type that reads most addresses of a list; null: none reads any. Where several read as many, the one by which
 * the fewest values lie upon one another, then the one by which most begin where another ends, then the first: by bytes
 * %MW120 and %MW122 touch, by words a list of REALs does at %MW300 and %MW302.
 */
export function typeThatReads(rows: readonly (readonly string[])[]): string | null {
  const [best] = readyTypes()
    .map(({ name, memories }) => {
      const lying = rows.flatMap((row) => lyingAt(row, memories));
      return { name, count: lying.length, ...asTheyLie(lying) };
    })
    .sort((a, b) => b.count - a.count || a.overlaps - b.overlaps || b.touching - a.touching);
  return best && best.count > 0 ? best.name : null;
}

function lyingAt(row: readonly string[], memories: readonly Memory[]): Lying[] {
  const type = row.map((text) => parseType(text)).find(({ ok }) => ok);
  return row.flatMap((text): Lying[] => {
    const place = parseAsWritten(text, memories);
    if (place === null || typeof place === 'string') return [];
    const memory = memories.find(({ area }) => area.id === place.area)!;
    const at = locate(memory, place);
    if (!at) return [{ where: '', from: 0, to: 0 }];
    const { view, row: along, layout, linear } = at;
    const frame = { ...along, layout };
    const named = place.bit !== undefined ? 1 : (place.width ?? view.unit);
    const size = type?.ok ? sizeInRow(type.value, frame) : named;
    return [{ where: `${place.area} ${place.view}`, from: linear, to: linear + size }];
  });
}

function asTheyLie(lying: readonly Lying[]): { overlaps: number; touching: number } {
  const inOrder = [...lying].sort((a, b) => a.from - b.from);
  let [overlaps, touching] = [0, 0];
  const ends = new Map<string, number>();
  for (const { where, from, to } of inOrder) {
    const end = ends.get(where);
    if (end !== undefined && from < end) overlaps++;
    if (from === end) touching++;
    ends.set(where, Math.max(end ?? 0, to));
  }
  return { overlaps, touching };
}
