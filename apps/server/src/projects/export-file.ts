import { NotFoundException } from '@nestjs/common';
import { writeProject } from '@dialoga/core/file';
import type { DataSource } from 'typeorm';
import { loadProject } from '../database/stored-project.js';
import { projectTable } from '../database/tables.js';

/** The project file of the newest revision, and the project's name. */
export async function canonicalFile(database: DataSource, id: string): Promise<{ name: string; text: string }> {
  const project = await database.transaction('REPEATABLE READ', async (manager) => {
    const row = await manager.findOneBy(projectTable, { id });
    if (!row) throw new NotFoundException({ message: `There is no project ${id}.` });
    return loadProject(manager, id);
  });
  return { name: project.info.name, text: writeProject(project) };
}
