import type { Link } from './link.js';
import type { Plant } from './plant.js';
import type { Stimulus } from './stimulus.js';
import { pairsOf } from './values.js';

export type Echo = Extract<Stimulus, { kind: 'echo' }>;

/** The bits of what comes to a station and goes back. */
export interface Echoed {
  area: string;
  bits: Int32Array;
}

const FORM = /^echo\s+(.+)$/i;
/** Names that are told where none fits. */
const MOST = 6;

export const isEcho = (typed: string): boolean => FORM.test(typed.trim());

/** What comes to a station by a link under a key; a sentence says why nothing does. */
export function echoedAt(plant: Plant, station: string, { link: id, key }: Echo): Echoed | string {
  const link = plant.links.find((one) => one.id === id);
  if (!link) return 'No data goes there any more.';
  const { sink, source } = link.path;
  const found = sink.station.id === station ? pairsOf(source, sink) : '';
  const value = typeof found === 'string' ? undefined : found.pairs.find((pair) => pair.key === key)?.sink;
  return value
    ? { area: sink.block.memory.area.id, bits: value.bits }
    : 'An echo is at one station: what comes there goes out there again.';
}

/** `echo Start`: what comes to the station under that name goes back, a scan later, bit for bit. */
export function echoAsTyped(
  plant: Plant,
  station: { id: string; name: string },
  typed: string,
): Echo | { wrong: string } {
  const name = FORM.exec(typed.trim())![1]!.trim();
  const all = plant.links.filter((link) => link.path.sink.station.id === station.id).flatMap(valuesOf);
  const fits = all.filter((one) => one.name.toLowerCase() === name.toLowerCase());
  const [first, second] = fits;
  if (first && !second) return { kind: 'echo', link: first.link, key: first.key, name: first.name };
  if (second)
    return { wrong: `“${name}” comes to ${station.name} ${fits.length} times; which one is meant is not known.` };
  if (all.length === 0) return { wrong: `Nothing comes to ${station.name} that could go back.` };
  const names = [...new Set(all.map((one) => one.name).filter((one) => one !== ''))];
  const rest = names.length > MOST ? ` and ${names.length - MOST} more` : '';
  return {
    wrong: `Nothing called “${name}” comes to ${station.name}; there comes ${names.slice(0, MOST).join(', ')}${rest}.`,
  };
}

function valuesOf({ id, path }: Link): { link: string; key: string; name: string }[] {
  const found = pairsOf(path.source, path.sink);
  if (typeof found === 'string') return [];
  return found.pairs.map(({ key, sink, source }) => ({ link: id, key, name: sink.name || source.name }));
}
