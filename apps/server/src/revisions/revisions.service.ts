import { Injectable } from '@nestjs/common';
import { ApiProperty } from '@nestjs/swagger';
import { DataSource } from 'typeorm';
import { journalTable } from '../database/tables.js';
import { WorkService } from '../work/work.service.js';

/** A revision as the history lists it. */
export class RevisionView {
  @ApiProperty() revision!: number;
  @ApiProperty() made!: Date;
  @ApiProperty({ type: String, nullable: true }) author!: string | null;
  @ApiProperty() label!: string;
}

@Injectable()
export class RevisionsService {
  constructor(
    private readonly database: DataSource,
    private readonly work: WorkService,
  ) {}

  /** Revisions before a number, newest first. */
  async list(project: string, before: number, most = 200): Promise<RevisionView[]> {
    const rows = await this.database
      .getRepository(journalTable)
      .createQueryBuilder('j')
      .where('j.project = :project AND j.revision < :before', { project, before })
      .orderBy('j.revision', 'DESC')
      .take(most)
      .getMany();
    return rows.map(({ revision, made, author, label }) => ({ revision, made, author, label }));
  }

  /** The sections of the project as it was at a revision, compressed. Throws the answer, 404. */
  async at(project: string, revision: number): Promise<Uint8Array> {
    return (await this.work.run('pastRevision', { project, revision })).sections;
  }
}
