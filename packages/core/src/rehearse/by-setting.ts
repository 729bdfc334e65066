import { readable } from '../model/as-typed.js';
import type { Claim, Place } from '../model/claim.js';
import type { End } from '../model/end.js';
import type { Exchange } from '../model/exchange.js';
import type { Module } from '../model/module.js';
import { childrenOf } from '../model/order.js';
import type { Reader } from '../model/project.js';
import { memoryOf } from '../place/memory.js';
import { protocolOf } from '../protocol/catalogue.js';
import { radioPlaceOf } from '../wiring/radio-block.js';
import { blockAt, type Block } from './block.js';

/** What a station’s settings make of one module’s inputs or outputs: where its data lies, and how much of it. */
interface Set {
  place: Place;
  bits: number;
}

const WHAT = ['inputs', 'outputs'] as const;
type What = (typeof WHAT)[number];

/**
 * What an end really moves of a lane that follows from a module assignment or a rotary switch: by that setting and by the
 * modules in the rack, not by what its page says. A sentence: why it moves nothing. Null: the lane follows from no setting.
 */
export function blockBySetting(
  reader: Reader,
  exchange: Exchange,
  madeBy: string | undefined,
  end: End,
  claim: Claim,
): Block | string | null {
  const [by, id = '', what] = (madeBy ?? '').split(' ');
  if (!WHAT.includes(what as What)) return null;
  const set =
    by === 'landing'
      ? landed(reader, id, what as What, end)
      : by === 'dial'
        ? dialled(reader, id, what as What, end)
        : null;
  if (set === null || typeof set === 'string') return set;
  const memory = memoryOf(reader, set.place.area);
  const block =
    memory &&
    blockAt({
      memory,
      place: set.place,
      bits: set.bits,
      layout: claim.layout ?? null,
      usual: protocolOf(exchange).carries(exchange.transfer),
      inBits: false,
    });
  return block ?? 'what it is set to is no place of its memory';
}

function landed(reader: Reader, id: string, what: What, end: End): Set | string | null {
  const landing = reader.get('landing', id);
  const module = landing && reader.get('module', landing.module);
  if (!landing || !module) return 'no module assignment says where it goes';
  const bytes = landing[what] ?? module[what];
  if (end.station === landing.station) {
    const place = readable(landing[`${what}At`]);
    if (!place) return `the assignment of ${module.name || module.kind} says no place`;
    return { place, bits: bytes * 8 };
  }
  if (end.station !== reader.get('rack', module.rack)?.station) return null;
  const before = modulesBefore(reader, end.station, module).reduce((sum, one) => sum + one[what], 0);
  const image = imageOf(reader, end.station, what, 'bytes');
  return image ? { place: { ...image, number: before }, bits: module[what] * 8 } : null;
}

function dialled(reader: Reader, id: string, what: What, end: End): Set | string | null {
  const module = reader.get('module', id);
  const unit = module && reader.get('rack', module.rack)?.station;
  if (!module || !unit) return 'no module says where it goes';
  const at = radioPlaceOf(reader, module);
  const digital = module.kind.startsWith('digital');
  const bits = digital ? module[what] * 8 : Math.ceil(module[what] / 2) * 16;
  if (module.dialRead === false) {
    return `the rotary switch of ${module.name || module.kind} is not read in: it goes by the one before, which is not known`;
  }
  if (end.station === unit) {
    const before = modulesBefore(reader, unit, module).reduce((sum, one) => sum + Math.ceil(one[what] / 2), 0);
    const image = imageOf(reader, unit, what, 'words');
    return image ? { place: { ...image, number: before }, bits } : null;
  }
  if (!at) return `the rotary switch of ${module.name || module.kind} says no place`;
  if (end.station !== at.base) return null;
  const area = tableOf(reader, at.base, at.table);
  return area ? { place: { ...area, number: at.first }, bits } : null;
}

/** The modules that lie before one in the image of their head: those of lower slots. */
function modulesBefore(reader: Reader, station: string, { id }: Module): Module[] {
  const all = childrenOf(reader, 'rack', station)
    .flatMap((rack) => childrenOf(reader, 'module', rack.id))
    .sort((a, b) => (a.slot ?? Infinity) - (b.slot ?? Infinity));
  return all.slice(
    0,
    all.findIndex((one) => one.id === id),
  );
}

function imageOf(reader: Reader, station: string, what: What, view: 'bytes' | 'words') {
  const kind = what === 'inputs' ? 'input image' : 'output image';
  const unit = view === 'bytes' ? 8 : 16;
  const area = childrenOf(reader, 'area', station).find(
    (one) => one.kind === kind && one.wordBits === unit && one.views[view],
  );
  return area ? { area: area.id, view } : null;
}

function tableOf(reader: Reader, station: string, table: string) {
  for (const { id } of childrenOf(reader, 'area', station)) {
    const view = memoryOf(reader, id)?.views.find(([, one]) => one.table === table && one.first === 1);
    if (view) return { area: id, view: view[0] };
  }
  return null;
}
