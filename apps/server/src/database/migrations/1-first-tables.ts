import type { MigrationInterface, QueryRunner } from 'typeorm';

const ENTITY_KINDS = ['project', 'profile', 'station', 'network', 'port', 'area', 'exchange', 'end', 'lane', 'claim'];
const OPTIONS = 'ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_bin';

/** A table a kind of entity, the journal of change sets, and the baselines that it is replayed from. */
export class FirstTables1700000000001 implements MigrationInterface {
  name = 'FirstTables1700000000001';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`CREATE TABLE project (
      id varchar(64) NOT NULL, name varchar(500) NOT NULL, revision int NOT NULL, changed datetime(3) NOT NULL,
      tally varchar(200) NULL, tally_revision int NULL, PRIMARY KEY (id)) ${OPTIONS}`);
    for (const kind of ENTITY_KINDS) {
      await runner.query(`CREATE TABLE entity_${kind} (
        project varchar(64) NOT NULL, id varchar(64) NOT NULL, owner varchar(64) NULL, name varchar(500) NOT NULL,
        body longtext NOT NULL, PRIMARY KEY (project, id),
        INDEX entity_${kind}_owner (project, owner)) ${OPTIONS}`);
    }
    await runner.query(`CREATE TABLE reference (
      project varchar(64) NOT NULL, target varchar(64) NOT NULL, kind varchar(20) NOT NULL,
      source varchar(64) NOT NULL, PRIMARY KEY (project, target, kind, source),
      INDEX reference_source (project, source)) ${OPTIONS}`);
    await runner.query(`CREATE TABLE journal (
      project varchar(64) NOT NULL, revision int NOT NULL, change_set varchar(64) NOT NULL,
      made datetime(3) NOT NULL, label varchar(500) NOT NULL, parts int NOT NULL,
      PRIMARY KEY (project, revision), UNIQUE INDEX journal_change_set (project, change_set)) ${OPTIONS}`);
    for (const table of ['journal_part', 'baseline']) {
      await runner.query(`CREATE TABLE ${table} (
        project varchar(64) NOT NULL, revision int NOT NULL, part int NOT NULL, body longtext NOT NULL,
        PRIMARY KEY (project, revision, part)) ${OPTIONS}`);
    }
  }

  async down(runner: QueryRunner): Promise<void> {
    const tables = [
      ...ENTITY_KINDS.map((k) => `entity_${k}`),
      'reference',
      'journal',
      'journal_part',
      'baseline',
      'project',
    ];
    for (const table of tables) await runner.query(`DROP TABLE ${table}`);
  }
}
