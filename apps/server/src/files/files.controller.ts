import { BadRequestException, Body, Controller, Get, HttpCode, Param, Post, Res } from '@nestjs/common';
import { ApiBody, ApiConsumes, ApiTags } from '@nestjs/swagger';
import { textOfProjectFile } from '@dialoga/core/entry';
import type { Response } from 'express';
import { Answers } from '../edge/answers.js';
import { JobStarted } from '../jobs/job.dto.js';
import { ProjectsService } from '../projects/projects.service.js';

@ApiTags('files')
@Controller('api')
export class FilesController {
  constructor(private readonly projects: ProjectsService) {}

  @Post('imports')
  @HttpCode(202)
  @ApiConsumes('application/octet-stream')
  @ApiBody({ schema: { type: 'string', format: 'binary' }, description: 'a project file' })
  @Answers('Starts making a project from a project file', { gives: JobStarted, status: 202, refuses: [400] })
  async read(@Body() body: unknown): Promise<JobStarted> {
    if (!Buffer.isBuffer(body)) {
      throw new BadRequestException({ message: 'Send the project file as the body, as application/octet-stream.' });
    }
    const read = textOfProjectFile(body);
    if (!read.ok) {
      throw new BadRequestException({ message: 'The file is not UTF-8.', problems: [read.problem] });
    }
    return { job: await this.projects.importFile(read.text) };
  }

  @Get('projects/:project/file')
  @Answers('The project file of the newest revision', {
    gives: 'a project file; its schema stands in docs',
    refuses: [404],
  })
  async write(@Param('project') id: string, @Res() response: Response): Promise<void> {
    const { name, text } = await this.projects.file(id);
    const plain = name.replace(/[^\w -]+/g, '').trim() || 'project';
    response.attachment(`${plain}.dialoga.json`).type('application/json').send(text);
  }
}
