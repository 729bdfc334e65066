import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { invert, type ChangeSet } from '@dialoga/core/change';
import { readProject } from '@dialoga/core/entry';
import { KINDS, ownerOf, referencesOf, type Project } from '@dialoga/core/model';
import { DataSource } from 'typeorm';
import { commit, fileOf, ownDatabase, testServer, type TestServer } from '../testing/server.testing.js';
import { insertRows } from './bulk.js';
import { dataSourceOptions, MIGRATIONS } from './data-source.js';

const demo = readFileSync(join(__dirname, '../../../../demo/kestrel-quay.dialoga.json'), 'utf8');
const rename: ChangeSet = {
  id: 'r1',
  label: 'Rename to Plant',
  changes: [{ kind: 'station', id: 'plantctl', path: ['name'], before: 'PlantCtl', after: 'Plant' }],
};

/** The demo as it was stored when each kind had a table of its own, with one revision in its journal. */
async function storeAsBefore(database: DataSource, project: Project): Promise<void> {
  const { manager } = database;
  await manager.query(
    "INSERT INTO project (id, name, revision, changed) VALUES ('old', 'Kestrel Quay', 1, UTC_TIMESTAMP(3))",
  );
  for (const kind of KINDS) {
    const owner = ownerOf(kind);
    const rows = [...project.all(kind)].map((entity) => {
      const fields = entity as unknown as Record<string, string>;
      const name = entity.id === 'plantctl' ? 'Plant' : (fields.name ?? '');
      const body = JSON.stringify(entity.id === 'plantctl' ? { ...entity, name } : entity);
      return ['old', entity.id, owner ? fields[owner.field]! : null, name, body];
    });
    await insertRows(manager, `entity_${kind}`, ['project', 'id', 'owner', 'name', 'body'], rows);
    const named = [...project.all(kind)].flatMap((entity) =>
      [...new Set(referencesOf(kind, entity).map(({ id }) => id))].map((target) => ['old', target, kind, entity.id]),
    );
    await insertRows(manager, 'reference', ['project', 'target', 'kind', 'source'], named);
  }
  await insertRows(manager, 'baseline', ['project', 'revision', 'part', 'body'], [['old', 0, 0, demo]]);
  await manager.query(
    "INSERT INTO journal (project, revision, change_set, made, label, parts) VALUES ('old', 1, 'r1', UTC_TIMESTAMP(3), ?, 1)",
    [rename.label],
  );
  const changes = JSON.stringify(rename.changes);
  await insertRows(manager, 'journal_part', ['project', 'revision', 'part', 'body'], [['old', 1, 0, changes]]);
}

async function openBefore(url: string): Promise<DataSource> {
  const migrations = MIGRATIONS.slice(0, 9);
  return new DataSource({ ...dataSourceOptions(url), migrations } as ReturnType<typeof dataSourceOptions>).initialize();
}

test('what was stored in a table a kind is exported byte for byte, and can be edited, taken back and looked up', async () => {
  const read = readProject(demo);
  if (!read.ok) throw new Error('the demo cannot be read');
  const { databaseUrl, drop } = await ownDatabase();
  const before = await openBefore(databaseUrl);
  await storeAsBefore(before, read.project);
  // A migration that was broken off after some of its steps is begun again.
  await before.query(
    `CREATE TABLE entity (project varchar(64) NOT NULL, kind varchar(20) NOT NULL, id varchar(64) NOT NULL,
      owner varchar(64) NULL, ordinal bigint NOT NULL, name varchar(500) NOT NULL, body longtext NOT NULL,
      PRIMARY KEY (project, kind, id), UNIQUE INDEX entity_id (project, id))
      ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_bin`,
  );
  await before.query("INSERT INTO entity SELECT project, 'lane', id, owner, 0, name, body FROM entity_lane LIMIT 20");
  await before.query("INSERT INTO entity SELECT project, 'profile', id, owner, 0, name, body FROM entity_profile");
  await before.query('DROP TABLE entity_profile');
  await before.destroy();

  const server: TestServer = await testServer({ databaseUrl } as TestServer);
  try {
    const renamed = demo.replace('"name": "PlantCtl"', '"name": "Plant"');
    expect(await fileOf(server, 'old')).toBe(renamed);
    const left: unknown = await server.database.query("SHOW TABLES LIKE 'entity%'");
    expect(left).toHaveLength(1);
    await commit(server, 'old', invert(rename, 'back')).expect(201);
    expect(await fileOf(server, 'old')).toBe(demo);
    const past = (await server.http.get('/api/projects/old/revisions/1').expect(200)).body as {
      stations: { name: string }[];
    };
    expect(past.stations.map(({ name }) => name)).toContain('Plant');
    const [{ ordinal }] = (await server.database.query(
      "SELECT ordinal FROM entity WHERE project = 'old' AND id = 'plantctl'",
    )) as [{ ordinal: string }];
    expect(Number(ordinal)).toBe(read.project.get('station', 'plantctl')!.order);
  } finally {
    await server.close();
    await drop();
  }
});
