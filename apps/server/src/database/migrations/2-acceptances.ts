import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Acceptances of Doubts. */
export class Acceptances1700000000002 implements MigrationInterface {
  name = 'Acceptances1700000000002';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`CREATE TABLE entity_acceptance (
      project varchar(64) NOT NULL, id varchar(64) NOT NULL, owner varchar(64) NULL, name varchar(500) NOT NULL,
      body longtext NOT NULL, PRIMARY KEY (project, id),
      INDEX entity_acceptance_owner (project, owner))
      ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_bin`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE entity_acceptance');
  }
}
