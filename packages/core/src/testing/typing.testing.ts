import type { Editing, Entry } from '../fields/field.js';
import type { BlockMember } from '../model/block-member.js';
import type { EntityOf, Kind } from '../model/kinds.js';
import { Project } from '../model/project.js';
import type { PermittedText } from '../model/route.js';
import type { MemberBlock } from '../profiles/member-block.js';

let made = 0;

/** What a text is typed with in a test; `set1` is the first thing that is made so. */
export const typing = (project: Project = Project.of({}), newId = () => `set${++made}`): Editing => ({
  project,
  newId,
  by: 'R. Vale',
  at: '2026-05-12T08:00:00Z',
});

type Listed = { [key: string]: unknown };

/** The entry of a list as a row; undefined in it where the list has none under that key. */
export const entryOf = <
  K extends Kind,
  L extends keyof EntityOf[K],
  E = NonNullable<EntityOf[K][L]>[keyof NonNullable<EntityOf[K][L]>],
>(
  entity: EntityOf[K],
  list: L,
  key: string,
): Entry<K, E> => ({ entity, key, entry: (entity[list] as Listed | null | undefined)?.[key] as E });

export const permittedOf = (route: EntityOf['route'], key: string): Entry<'route', PermittedText> => ({
  entity: route,
  key,
  entry: route.built!.permitted[key]!,
});

export const partOf = (block: MemberBlock, key: string): { block: MemberBlock; key: string; part: BlockMember } => ({
  block,
  key,
  part: block.members![key]!,
});
