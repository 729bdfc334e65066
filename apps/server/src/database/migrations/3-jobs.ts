import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Long work with its progress, where every process sees it. */
export class Jobs1700000000003 implements MigrationInterface {
  name = 'Jobs1700000000003';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`CREATE TABLE job (
      id varchar(64) NOT NULL, kind varchar(20) NOT NULL, state varchar(12) NOT NULL, step varchar(200) NOT NULL,
      done int NOT NULL, total int NOT NULL, project varchar(64) NULL, message text NULL, problems longtext NULL,
      stop int NOT NULL, beat datetime(3) NOT NULL, PRIMARY KEY (id))
      ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_bin`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE job');
  }
}
