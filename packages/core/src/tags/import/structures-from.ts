import type { FileFault, ListedStructure } from '../../formats/tag-list.js';
import { inOrder, orderAfter } from '../../model/order.js';
import type { Project } from '../../model/project.js';
import type { Member, Structure } from '../../model/structure.js';
import { typeReader } from './type-reader.js';

/**
 * The structures of a file that the project does not have yet, by name; one that it has stays as it is there. A member of
 * a type that nobody defined is kept as typed, and told.
 */
export function structuresFrom(
  project: Project,
  listed: readonly ListedStructure[],
  newId: () => string,
): { created: Structure[]; faults: FileFault[] } {
  const known = inOrder(project, 'structure');
  const names = new Set(known.map((s) => s.name.toLowerCase()));
  const fresh = listed.filter(({ name }) => {
    const first = !names.has(name.toLowerCase());
    names.add(name.toLowerCase());
    return first;
  });
  let order = orderAfter(known);
  const created = fresh.map(({ name }): Structure => ({ id: newId(), order: (order += 10) - 10, name, members: {} }));
  const read = typeReader(project, created);
  const faults: FileFault[] = [];
  fresh.forEach((structure, i) => {
    const members: Record<string, Member> = {};
    structure.members.forEach((member, n) => {
      const type = read(member.type);
      if (!type.ok)
        faults.push({
          line: structure.line,
          found: `${structure.name}.${member.name}: ${type.found}`,
          expected: type.expected,
        });
      members[newId()] = {
        order: (n + 1) * 10,
        name: member.name,
        type: type.ok ? type.value : { typed: member.type },
      };
    });
    created[i] = { ...created[i]!, members };
  });
  return { created, faults };
}
