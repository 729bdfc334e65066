import { TAG_FIELDS, type ListedStructure, type ListedTag, type TagTexts } from '../../formats/tag-list.js';
import { childrenOf, entriesInOrder, inOrder } from '../../model/order.js';
import type { Project } from '../../model/project.js';
import { typeText } from '../../structure/type-text.js';
import { tagFieldText } from '../../fields/tag-field.js';

/** A station's tags, in order, and the structures that their types name. */
export function exportTags(project: Project, station: string): TagTexts {
  const all = childrenOf(project, 'tag', station);
  const tags = all.map((tag, i): ListedTag => {
    const says: ListedTag['says'] = {};
    for (const field of TAG_FIELDS) says[field] = tagFieldText(project, tag, field);
    return { line: i + 1, name: tag.name, says };
  });
  const used = new Set<string>();
  const use = (type: object | null | undefined): void => {
    const id = type && 'structure' in type && typeof type.structure === 'string' ? type.structure : null;
    if (id === null || used.has(id)) return;
    used.add(id);
    for (const member of Object.values(project.get('structure', id)?.members ?? {})) use(member.type);
  };
  for (const tag of all) use(tag.type);
  const structures = inOrder(project, 'structure')
    .filter((structure) => used.has(structure.id))
    .map((structure, i): ListedStructure => {
      const members = entriesInOrder(structure.members).map(([, { name, type }]) => ({
        name,
        type: !type ? '' : 'typed' in type ? type.typed : typeText(project, type),
      }));
      return { line: i + 1, name: structure.name, members };
    });
  return { tags, structures };
}
