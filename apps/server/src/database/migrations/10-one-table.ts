import type { MigrationInterface, QueryRunner } from 'typeorm';

/** The kinds that had a table each until here. */
const KINDS = [
  ...['project', 'profile', 'station', 'rack', 'module', 'network', 'port', 'area', 'structure', 'series', 'import'],
  ...['tag', 'copy', 'landing', 'exchange', 'end', 'lane', 'claim', 'acceptance', 'tick', 'setting'],
  ...['route', 'helper', 'expectation'],
];
const OPTIONS = 'ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_bin';

/**
 * One table for every kind, so that a new kind needs no migration. A table's creation ends the transaction that it is in:
 * each step is such that a migration that was broken off can be begun again.
 */
export class OneTable1700000000010 implements MigrationInterface {
  name = 'OneTable1700000000010';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`CREATE TABLE IF NOT EXISTS entity (
      project varchar(64) NOT NULL, kind varchar(20) NOT NULL, id varchar(64) NOT NULL, owner varchar(64) NULL,
      ordinal bigint NOT NULL, name varchar(500) NOT NULL, body longtext NOT NULL, PRIMARY KEY (project, kind, id),
      UNIQUE INDEX entity_id (project, id)) ${OPTIONS}`);
    for (const kind of KINDS) {
      if (!(await runner.hasTable(`entity_${kind}`))) continue;
      await runner.query(`INSERT INTO entity (project, kind, id, owner, ordinal, name, body)
        SELECT project, '${kind}', id, owner, COALESCE(JSON_VALUE(body, '$.order'), 0), name, body
        FROM entity_${kind} old WHERE NOT EXISTS (
          SELECT 1 FROM entity e WHERE e.project = old.project AND e.kind = '${kind}' AND e.id = old.id)`);
    }
    for (const kind of KINDS) await runner.query(`DROP TABLE IF EXISTS entity_${kind}`);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const kind of KINDS) {
      await runner.query(`CREATE TABLE entity_${kind} (
        project varchar(64) NOT NULL, id varchar(64) NOT NULL, owner varchar(64) NULL, name varchar(500) NOT NULL,
        body longtext NOT NULL, PRIMARY KEY (project, id), INDEX entity_${kind}_owner (project, owner)) ${OPTIONS}`);
      await runner.query(`INSERT INTO entity_${kind} (project, id, owner, name, body)
        SELECT project, id, owner, name, body FROM entity WHERE kind = '${kind}'`);
    }
    await runner.query('DROP TABLE entity');
  }
}
