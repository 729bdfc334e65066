import type { MigrationInterface, QueryRunner } from 'typeorm';

/** What is known of getting a value into its device. */
export class Settings1700000000005 implements MigrationInterface {
  name = 'Settings1700000000005';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`CREATE TABLE entity_setting (
      project varchar(64) NOT NULL, id varchar(64) NOT NULL, owner varchar(64) NULL, name varchar(500) NOT NULL,
      body longtext NOT NULL, PRIMARY KEY (project, id),
      INDEX entity_setting_owner (project, owner))
      ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_bin`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`DROP TABLE entity_setting`);
  }
}
