import { SECTION_OF } from '@dialoga/core/file';
import { KINDS, Project, type Entity, type Kind } from '@dialoga/core/model';

/** A project as the server hands it over: the sections of the project file, and the revision. */
export function projectFromBytes(bytes: ArrayBuffer): { project: Project; revision: number } {
  const tree = JSON.parse(new TextDecoder().decode(bytes)) as Record<string, unknown>;
  const entities: Partial<Record<Kind, Entity[]>> = {};
  for (const kind of KINDS) entities[kind] = tree[SECTION_OF[kind]] as Entity[];
  return { project: Project.of(entities), revision: tree.revision as number };
}
