import type { Entity, EntityOf, Kind } from '@dialoga/core/model';
import type { EntityManager } from 'typeorm';
import { bodiesOf, sectionsText, writeBaseline } from './stored-project.js';
import { baselineTable, entityTable, projectTable } from './tables.js';

/**
 * For migrations that change what bodies hold: rewrites every entity of a kind, and gives each project whose bodies
 * changed a new baseline at its present revision, since its journal no longer leads from the old one to the tables.
 */
export async function migrateBodies<K extends Kind>(
  manager: EntityManager,
  kind: K,
  change: (entity: EntityOf[K]) => EntityOf[K],
): Promise<void> {
  for (const { id, revision } of await manager.find(projectTable)) {
    let changed = false;
    for await (const page of bodiesOf(manager, id, kind)) {
      const rows = page.flatMap((body) => {
        const next = JSON.stringify(change(JSON.parse(body) as EntityOf[K]));
        return next === body ? [] : [[id, (JSON.parse(next) as Entity).id, next]];
      });
      changed ||= rows.length > 0;
      for (const [project, entity, body] of rows) {
        await manager.update(entityTable, { project: project!, id: entity! }, { body: body! });
      }
    }
    if (!changed) continue;
    await manager.delete(baselineTable, { project: id, revision });
    await writeBaseline(manager, id, revision, await sectionsText(manager, id));
  }
}
