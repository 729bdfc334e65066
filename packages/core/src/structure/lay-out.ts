import { sizeInRow, type Frame } from '../data/layout.js';
import { elementary } from '../data/types.js';
import { readable } from '../model/as-typed.js';
import type { Offset, TypeRef } from '../model/claim.js';
import { entriesInOrder } from '../model/order.js';
import type { Reader } from '../model/project.js';
import type { Structure } from '../model/structure.js';

/** One elementary member of a structure, those of structures in it among them. */
export interface LaidMember {
  /** `Pump[1].Speed` */
  path: string;
  type: TypeRef;
  /** from the structure's start */
  offset: Offset;
  /** bits */
  size: number;
}

export interface LaidStructure {
  members: LaidMember[];
  /** bits, with what is filled up at its end */
  size: number;
  /** bits that it has to begin at a multiple of */
  alignment: number;
}

/** Most members that a structure comes to with all its arrays. */
const MOST_MEMBERS = 20_000;

/**
 * Where each member of a structure lies by the layout rule of a frame: each at the next offset that its alignment allows,
 * BOOLs side by side as they are packed, and the whole filled up to its largest alignment. Null where a type is not known,
 * where the structure contains itself, or where it is far too large.
 *
 * [published: System V Application Binary Interface, aggregates and unions: natural alignment] [from memory]; checked
 * against a C compiler's `offsetof` (natural) and Python's `struct` (packed), see check-values/.
 */
export function layOut(reader: Reader, structure: Structure, frame: Frame): LaidStructure | null {
  return layOutWithin(reader, structure, frame, new Set());
}

function layOutWithin(
  reader: Reader,
  structure: Structure,
  frame: Frame,
  within: ReadonlySet<string>,
): LaidStructure | null {
  if (within.has(structure.id)) return null;
  const inside = new Set(within).add(structure.id);
  const members: LaidMember[] = [];
  let [at, largest] = [0, 8];
  /** bits of the BOOLs that stand side by side and are not filled up yet, and where their word begins */
  let run: { start: number; count: number } | null = null;
  const unit = Math.min(Math.max(frame.unit, 8), frame.wordBits);
  const endRun = () => {
    if (run) at = run.start + Math.ceil(run.count / unit) * unit;
    run = null;
  };
  for (const [, member] of entriesInOrder(structure.members)) {
    const type = readable(member.type);
    if (!type) return null;
    if (type.base === 'BOOL' && frame.layout.boolPacking === 'bit') {
      largest = Math.max(largest, alignmentOf(unit, frame));
      if (!run) run = { start: upTo(at, alignmentOf(unit, frame)), count: 0 };
      const word = run.start + Math.floor(run.count / unit) * unit;
      const number = run.count % unit;
      const bit = frame.layout.boolNumbering === 'from the bottom' ? number : unit - 1 - number;
      members.push({ path: member.name, type, offset: { bits: word, bit }, size: type.count });
      run.count += type.count;
      continue;
    }
    endRun();
    if (type.structure) {
      const inner = reader.get('structure', type.structure);
      const laid = inner ? layOutWithin(reader, inner, frame, inside) : null;
      if (!laid || laid.members.length * type.count + members.length > MOST_MEMBERS) return null;
      at = upTo(at, laid.alignment);
      largest = Math.max(largest, laid.alignment);
      for (let i = 0; i < type.count; i++) {
        const prefix = type.count === 1 ? member.name : `${member.name}[${i}]`;
        for (const one of laid.members) {
          const offset: Offset = { ...one.offset, bits: one.offset.bits + at };
          members.push({ ...one, path: `${prefix}.${one.path}`, offset });
        }
        at += laid.size;
      }
      continue;
    }
    const known = elementary(type.base);
    if (!known) return null;
    const size = sizeInRow(type, frame);
    const single = known.family === 'text' ? 8 : known.family === 'bool' ? size / type.count : known.bits;
    const alignment = alignmentOf(single, frame);
    largest = Math.max(largest, alignment);
    at = upTo(at, alignment);
    members.push({ path: member.name, type, offset: { bits: at }, size });
    at += size;
  }
  endRun();
  return { members, size: upTo(at, largest), alignment: largest };
}

/** Bits that a value of so many bits begins at a multiple of. */
function alignmentOf(bits: number, { layout }: Frame): number {
  const own = Math.max(8, bits);
  return layout.alignment === 'natural' ? own : Math.min(own, Number(layout.alignment) * 8);
}

const upTo = (at: number, step: number): number => Math.ceil(at / step) * step;

/** Whether a structure would contain itself, over any number of others, with a member of this type. */
export function containsItself(reader: Reader, structure: string, type: TypeRef): boolean {
  const seen = new Set<string>();
  const visit = (id: string): boolean => {
    if (id === structure) return true;
    if (seen.has(id)) return false;
    seen.add(id);
    const members = Object.values(reader.get('structure', id)?.members ?? {});
    return members.some((m) => {
      const inner = readable(m.type)?.structure;
      return inner !== undefined && visit(inner);
    });
  };
  return type.structure !== undefined && visit(type.structure);
}
