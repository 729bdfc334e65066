import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { Body, Controller, Delete, Get, HttpCode, Param, Patch, Post, Res } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { KINDS, SECTION_OF } from '@dialoga/core';
import type { Response } from 'express';
import { DataSource, type EntityManager } from 'typeorm';
import { Answers } from '../edge/answers.js';
import { JobStarted } from '../jobs/job.dto.js';
import { bodiesOf } from '../database/stored-project.js';
import { projectTable } from '../database/tables.js';
import { DemoDto, NameDto, ProjectSummary, RenameDto } from './project.dto.js';
import { ProjectsService } from './projects.service.js';

@ApiTags('projects')
@Controller('api/projects')
export class ProjectsController {
  constructor(
    private readonly projects: ProjectsService,
    private readonly database: DataSource,
  ) {}

  @Get()
  @Answers('All projects, the one changed last first', { gives: [ProjectSummary] })
  list(): Promise<ProjectSummary[]> {
    return this.projects.list();
  }

  @Post()
  @Answers('An empty project', { gives: ProjectSummary, status: 201, refuses: [400] })
  create(@Body() { name }: NameDto): Promise<ProjectSummary> {
    return this.projects.create(name);
  }

  @Post('demo')
  @Answers('A fresh copy of the demo', { gives: ProjectSummary, status: 201, refuses: [400] })
  demo(@Body() { demo }: DemoDto): Promise<ProjectSummary> {
    return this.projects.fromDemo(demo);
  }

  @Post(':project/copies')
  @HttpCode(202)
  @Answers('Starts making a copy under this name', { gives: JobStarted, status: 202, refuses: [400, 404] })
  async copy(@Param('project') id: string, @Body() { name }: NameDto): Promise<JobStarted> {
    return { job: await this.projects.copy(id, name) };
  }

  @Patch(':project')
  @Answers('Renames it: a revision like any other', { gives: ProjectSummary, refuses: [400, 404] })
  rename(@Param('project') id: string, @Body() { name, author }: RenameDto): Promise<ProjectSummary> {
    return this.projects.rename(id, name, author?.trim() || null);
  }

  @Delete(':project')
  @HttpCode(204)
  @Answers('Deletes it for good; the body holds its name as typed', { status: 204, refuses: [400, 404] })
  remove(@Param('project') id: string, @Body() { name }: NameDto): Promise<void> {
    return this.projects.remove(id, name);
  }

  @Get(':project/tally')
  @Answers('Counts its findings where they are not counted yet', { gives: ProjectSummary, refuses: [404] })
  tally(@Param('project') id: string): Promise<ProjectSummary> {
    return this.projects.tally(id);
  }

  /** The stored texts as they are, page by page. */
  @Get(':project')
  @Answers('The whole project at its newest revision', {
    gives: 'the sections of a project file, and `revision`',
    refuses: [404],
  })
  async open(@Param('project') id: string, @Res() response: Response): Promise<void> {
    await this.projects.get(id);
    response.type('application/json');
    await this.database.transaction('REPEATABLE READ', async (manager) => {
      const { revision } = await manager.findOneByOrFail(projectTable, { id });
      // Whoever closes the window in the middle is no error of ours.
      await pipeline(Readable.from(sections(manager, id, revision)), response).catch(() => undefined);
    });
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
