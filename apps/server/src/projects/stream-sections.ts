import { once } from 'node:events';
import type { MessagePort } from 'node:worker_threads';
import { constants, createGzip } from 'node:zlib';
import { NotFoundException } from '@nestjs/common';
import { SECTION_OF } from '@dialoga/core/file';
import { KINDS } from '@dialoga/core/model';
import type { DataSource, EntityManager } from 'typeorm';
import { bodiesOf } from '../database/stored-project.js';
import { projectTable } from '../database/tables.js';

/** What comes through the port: first the revision, then compressed bytes, last `end`. */
export type SectionMessage = { revision: number } | Uint8Array | 'end';

/**
 * Reads a project in one short transaction and sends its sections, compressed, as they come. It never waits for whoever
 * reads the answer: a transaction is not held open for a slow one.
 */
export async function streamSections(database: DataSource, project: string, port: MessagePort): Promise<void> {
  const send = (message: SectionMessage, moved: ArrayBuffer[] = []) => port.postMessage(message, moved);
  const gzip = createGzip({ level: constants.Z_BEST_SPEED, chunkSize: 256 * 1024 });
  gzip.on('data', (chunk: Buffer) => {
    const own = new Uint8Array(chunk);
    send(own, [own.buffer]);
  });
  try {
    await database.transaction('REPEATABLE READ', async (manager) => {
      const row = await manager.findOneBy(projectTable, { id: project });
      if (!row) throw new NotFoundException({ message: `There is no project ${project}.` });
      send({ revision: row.revision });
      for await (const text of sections(manager, project, row.revision)) {
        if (!gzip.write(text)) await once(gzip, 'drain');
      }
    });
    const ended = once(gzip, 'end');
    gzip.end();
    await ended;
    send('end');
  } finally {
    gzip.destroy();
    port.close();
  }
}

async function* sections(manager: EntityManager, id: string, revision: number): AsyncGenerator<string> {
  yield `{"revision":${revision}`;
  for (const kind of KINDS) {
    yield `,"${SECTION_OF[kind]}":[`;
    let first = true;
    for await (const page of bodiesOf(manager, id, kind)) {
      yield `${first ? '' : ','}${page.join(',')}`;
      first = false;
    }
    yield ']';
  }
  yield '}';
}
