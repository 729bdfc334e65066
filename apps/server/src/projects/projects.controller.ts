import { Body, Controller, Delete, Get, HttpCode, Param, Patch, Post, Req, Res } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { Request, Response } from 'express';
import { Answers } from '../edge/answers.js';
import { ExactId } from '../edge/exact-id.js';
import { streamCompressed } from '../edge/send-compressed.js';
import { JobStarted } from '../jobs/job.dto.js';
import { DemoDto, NameDto, ProjectSummary, RenameDto } from './project.dto.js';
import { ProjectsService } from './projects.service.js';
import { SnapshotsService } from './snapshots.service.js';

@ApiTags('projects')
@Controller('api/projects')
export class ProjectsController {
  constructor(
    private readonly projects: ProjectsService,
    private readonly snapshots: SnapshotsService,
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
  async copy(@Param('project', ExactId) id: string, @Body() { name }: NameDto): Promise<JobStarted> {
    return { job: await this.projects.copy(id, name) };
  }

  @Patch(':project')
  @Answers('Renames it: a revision like any other', { gives: ProjectSummary, refuses: [400, 404] })
  rename(@Param('project', ExactId) id: string, @Body() { name, author }: RenameDto): Promise<ProjectSummary> {
    return this.projects.rename(id, name, author?.trim() || null);
  }

  @Delete(':project')
  @HttpCode(204)
  @Answers('Deletes it for good; the body holds its name as typed', { status: 204, refuses: [400, 404] })
  remove(@Param('project', ExactId) id: string, @Body() { name }: NameDto): Promise<void> {
    return this.projects.remove(id, name);
  }

  @Get(':project/tally')
  @Answers('Counts its findings where they are not counted yet', { gives: ProjectSummary, refuses: [404] })
  tally(@Param('project', ExactId) id: string): Promise<ProjectSummary> {
    return this.projects.tally(id);
  }

  @Get(':project')
  @Answers('The whole project at its newest revision', {
    gives: 'the sections of a project file, and `revision`',
    refuses: [404],
  })
  async open(@Param('project', ExactId) id: string, @Req() request: Request, @Res() response: Response): Promise<void> {
    const { revision } = await this.projects.get(id);
    const snapshot = await this.snapshots.of(id, revision);
    await snapshot.revision;
    response.type('application/json');
    await streamCompressed(request, response, snapshot.read());
  }
}
