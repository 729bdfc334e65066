import type { MigrationInterface, QueryRunner } from 'typeorm';

const KINDS = ['route', 'helper', 'expectation'];

/** Routes, what has to be drawn for them, and who must or must not reach whom. */
export class Routes1700000000008 implements MigrationInterface {
  name = 'Routes1700000000008';

  async up(runner: QueryRunner): Promise<void> {
    for (const kind of KINDS) {
      await runner.query(`CREATE TABLE entity_${kind} (
        project varchar(64) NOT NULL, id varchar(64) NOT NULL, owner varchar(64) NULL, name varchar(500) NOT NULL,
        body longtext NOT NULL, PRIMARY KEY (project, id),
        INDEX entity_${kind}_owner (project, owner))
        ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_bin`);
    }
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const kind of KINDS) await runner.query(`DROP TABLE entity_${kind}`);
  }
}
