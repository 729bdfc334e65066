import { BadRequestException, Body, Controller, Get, HttpCode, Param, Post, Req, Res } from '@nestjs/common';
import { ApiBody, ApiConsumes, ApiTags } from '@nestjs/swagger';
import type { Request, Response } from 'express';
import { Answers } from '../edge/answers.js';
import { ExactId } from '../edge/exact-id.js';
import { sendCompressed } from '../edge/send-compressed.js';
import { JobStarted } from '../jobs/job.dto.js';
import { ProjectsService } from '../projects/projects.service.js';
import { WorkService } from '../work/work.service.js';

@ApiTags('files')
@Controller('api')
export class FilesController {
  constructor(
    private readonly projects: ProjectsService,
    private readonly work: WorkService,
  ) {}

  @Post('imports')
  @HttpCode(202)
  @ApiConsumes('application/octet-stream')
  @ApiBody({ schema: { type: 'string', format: 'binary' }, description: 'a project file' })
  @Answers('Starts making a project from a project file', { gives: JobStarted, status: 202, refuses: [400, 413] })
  async read(@Body() body: unknown): Promise<JobStarted> {
    if (!Buffer.isBuffer(body)) {
      throw new BadRequestException({ message: 'Send the project file as the body, as application/octet-stream.' });
    }
    return { job: await this.projects.importFile(body) };
  }

  @Get('projects/:project/file')
  @Answers('The project file of the newest revision', {
    gives: 'a project file; its schema stands in docs',
    refuses: [404],
  })
  async write(
    @Param('project', ExactId) project: string,
    @Req() request: Request,
    @Res() response: Response,
  ): Promise<void> {
    await this.projects.get(project);
    const { name, file } = await this.work.run('exportFile', { project });
    const plain = name.replace(/[^\w -]+/g, '').trim() || 'project';
    response.attachment(`${plain}.dialoga.json`).type('application/json');
    await sendCompressed(request, response, file);
  }
}
