import { NotFoundException } from '@nestjs/common';
import { CheckEngine, counting, tallyOf } from '@dialoga/core/check';
import { Not, type DataSource } from 'typeorm';
import { loadProject } from '../database/stored-project.js';
import { projectTable } from '../database/tables.js';

/** Counts the findings of the newest revision, and keeps the counts with it. */
export async function tallyOfStored(database: DataSource, id: string): Promise<void> {
  const { revision, project, beside } = await database.transaction('REPEATABLE READ', async (manager) => {
    const row = await manager.findOneBy(projectTable, { id });
    if (!row) throw new NotFoundException({ message: `There is no project ${id}.` });
    const beside = await manager.find(projectTable, { select: { name: true, revision: true }, where: { id: Not(id) } });
    return { revision: row.revision, project: await loadProject(manager, id), beside };
  });
  const tally = JSON.stringify(tallyOf(counting(new CheckEngine(project, beside).findings, project)));
  await database.getRepository(projectTable).update({ id, revision }, { tally, tallyRevision: revision });
}
