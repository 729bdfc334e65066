import { isTyped, readable } from '../model/as-typed.js';
import type { Claim } from '../model/claim.js';
import type { Lane } from '../model/lane.js';
import type { Module } from '../model/module.js';
import { childrenOf } from '../model/order.js';
import type { Reader } from '../model/project.js';
import { lengthBits } from '../place/length.js';
import { radioPlaceOf } from '../wiring/radio-block.js';
import type { Side } from './side.js';

/** What a module assignment or a rotary switch says of one end: the number of its place, and how many bits. */
interface Wanted {
  number: number;
  bits: number;
  /** where the setting itself names the area */
  area?: string;
}

/**
 * Why a lane that was made from a module assignment or a rotary switch is not what that says now; null: it is, or it was made
 * from neither. What the modules exchange goes by the setting, so that such a lane is not agreed however alike its ends are.
 */
export function unlikeSetting(reader: Reader, lane: Lane, sides: readonly Side[]): string | null {
  const [by, id = '', what] = (lane.madeBy ?? '').split(' ');
  if (what !== 'inputs' && what !== 'outputs') return null;
  const landing = by === 'landing' ? reader.get('landing', id) : undefined;
  const module = reader.get('module', by === 'dial' ? id : (landing?.module ?? ''));
  if (by !== 'dial' && by !== 'landing') return null;
  const from = by === 'dial' ? 'rotary switch' : 'module assignment';
  const head = module && reader.get('rack', module.rack)?.station;
  if (!module || !head) return `the ${from} that it was made from is gone`;
  for (const { claim, station } of sides) {
    const wanted =
      station.id === head
        ? inImage(reader, head, module, what, by === 'dial' ? 16 : 8)
        : landing
          ? landing.station === station.id && byLanding(reader, landing.id, module, what)
          : byDial(reader, module, what, station.id);
    if (wanted && !isAt(claim, wanted)) {
      return `${station.name} exchanges it elsewhere: the ${from} of ${module.name || module.kind} says another place or length`;
    }
  }
  return null;
}

function isAt(claim: Claim, { number, bits, area }: Wanted): boolean {
  const [place, length] = [readable(claim.place), readable(claim.length)];
  if (!place || !length) return true;
  return place.number === number && lengthBits(length) === bits && (area === undefined || area === place.area);
}

type What = 'inputs' | 'outputs';

/** In the image of its head: after the modules of lower slots, byte by byte, or word by word on a radio unit. */
function inImage(reader: Reader, head: string, module: Module, what: What, unit: 8 | 16): Wanted {
  const units = (one: Module) => Math.ceil((one[what] * 8) / unit);
  const modules = childrenOf(reader, 'rack', head).flatMap((rack) => childrenOf(reader, 'module', rack.id));
  const inOrder = modules.sort((a, b) => (a.slot ?? Infinity) - (b.slot ?? Infinity));
  const before = inOrder.slice(
    0,
    inOrder.findIndex(({ id }) => id === module.id),
  );
  return { number: before.reduce((sum, one) => sum + units(one), 0), bits: bitsOf(module, what, unit) };
}

/** Digital modules are taken byte by byte; of others a radio unit takes whole registers. */
const bitsOf = (module: Module, what: What, unit: 8 | 16): number =>
  unit === 8 || module.kind.startsWith('digital') ? module[what] * 8 : Math.ceil(module[what] / 2) * 16;

function byLanding(reader: Reader, id: string, module: Module, what: What): Wanted | null {
  const landing = reader.get('landing', id)!;
  const place = landing[`${what}At`];
  if (!place || isTyped(place)) return null;
  return { number: place.number, area: place.area, bits: (landing[what] ?? module[what]) * 8 };
}

function byDial(reader: Reader, module: Module, what: What, station: string): Wanted | null {
  const at = radioPlaceOf(reader, module);
  return at?.base === station ? { number: at.first, bits: bitsOf(module, what, 16) } : null;
}
