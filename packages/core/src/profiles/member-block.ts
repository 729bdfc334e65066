import type { Area } from '../model/area.js';
import type { BlockMember } from '../model/block-member.js';
import { childrenOf, entriesInOrder } from '../model/order.js';
import type { Project } from '../model/project.js';
import type { Profile } from '../model/profile.js';
import type { WordBits } from '../model/words.js';

/** A block that has parts: a reserved range of a station, or what a profile says of all stations of its type. */
export interface MemberBlock {
  holder: { kind: 'area'; entity: Area } | { kind: 'profile'; entity: Profile };
  /** where the block is in its holder */
  path: readonly [string, string];
  owner: string;
  /** bits; the first bit in its area, null where none is said */
  start: number | null;
  length: number;
  wordBits: WordBits;
  members: Record<string, BlockMember> | null;
}

/** The reserved ranges of a station, area by area. */
export function reservedBlocks(project: Project, station: string): MemberBlock[] {
  return childrenOf(project, 'area', station).flatMap((area) =>
    entriesInOrder(area.reservations).map(([id, r]): MemberBlock => {
      const { owner, start, length } = r;
      const holder = { kind: 'area' as const, entity: area };
      return {
        holder,
        path: ['reservations', id],
        owner,
        start,
        length,
        wordBits: area.wordBits,
        members: r.members ?? null,
      };
    }),
  );
}

/** The blocks that a profile says its stations take. Their memory is counted in words of 16 bits until one is taken. */
export function profileBlocks(profile: Profile): MemberBlock[] {
  return entriesInOrder(profile.blocks ?? {}).map(([id, { name, length, members }]): MemberBlock => {
    const holder = { kind: 'profile' as const, entity: profile };
    return {
      holder,
      path: ['blocks', id],
      owner: `${profile.name}, ${name}`,
      start: null,
      length,
      wordBits: 16,
      members,
    };
  });
}
