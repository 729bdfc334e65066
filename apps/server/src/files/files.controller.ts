import { BadRequestException, Body, Controller, Get, HttpCode, Param, Post, Res } from '@nestjs/common';
import { ApiConsumes, ApiTags } from '@nestjs/swagger';
import type { Response } from 'express';
import type { JobStarted } from '../jobs/job.dto.js';
import { ProjectsService } from '../projects/projects.service.js';

@ApiTags('files')
@Controller('api')
export class FilesController {
  constructor(private readonly projects: ProjectsService) {}

  /** Starts making a project from a project file, sent as the body with the type application/octet-stream. */
  @Post('imports')
  @HttpCode(202)
  @ApiConsumes('application/octet-stream')
  async read(@Body() body: unknown): Promise<JobStarted> {
    if (!Buffer.isBuffer(body)) {
      throw new BadRequestException({ message: 'Send the project file as the body, as application/octet-stream.' });
    }
    return { job: await this.projects.importFile(utf8(body)) };
  }

  /** The project file of the newest revision. */
  @Get('projects/:project/file')
  async write(@Param('project') id: string, @Res() response: Response): Promise<void> {
    const { name, text } = await this.projects.file(id);
    const plain = name.replace(/[^\w -]+/g, '').trim() || 'project';
    response.attachment(`${plain}.dialoga.json`).type('application/json').send(text);
  }
}

function utf8(body: Buffer): string {
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(body);
  } catch {
    throw new BadRequestException({ message: 'The file is not UTF-8; save it as UTF-8 and try again.' });
  }
}
