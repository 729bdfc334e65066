import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Who made a change set, as he names himself; null where he did not. */
export class Author1700000000009 implements MigrationInterface {
  name = 'Author1700000000009';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE journal ADD author varchar(100) NULL AFTER change_set');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE journal DROP COLUMN author');
  }
}
