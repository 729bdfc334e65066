import { SECTION_OF } from '@dialoga/core/file';
import { KINDS, Project, type Entity, type Kind } from '@dialoga/core/model';

/** The entities of a project's file, parsed anew, so that nothing worked out before is kept. */
export function entitiesIn(file: string): Partial<Record<Kind, Entity[]>> {
  const tree = JSON.parse(file) as Record<string, Entity[]>;
  return Object.fromEntries(KINDS.map((kind) => [kind, tree[SECTION_OF[kind]] ?? []]));
}

export const opened = (file: string): Project => Project.of(entitiesIn(file));
