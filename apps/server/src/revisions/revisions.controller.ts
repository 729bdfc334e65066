import { Controller, Get, Param, ParseIntPipe, Query, Req, Res } from '@nestjs/common';
import { ApiQuery, ApiTags } from '@nestjs/swagger';
import type { Request, Response } from 'express';
import { Answers } from '../edge/answers.js';
import { ExactId } from '../edge/exact-id.js';
import { sendCompressed } from '../edge/send-compressed.js';
import { RevisionsService, RevisionView } from './revisions.service.js';

@ApiTags('revisions')
@Controller('api/projects/:project/revisions')
export class RevisionsController {
  constructor(private readonly revisions: RevisionsService) {}

  @Get()
  @ApiQuery({ name: 'before', type: Number, required: false, description: 'continues the list' })
  @Answers('What was changed, newest first', { gives: [RevisionView], refuses: [400, 404] })
  list(
    @Param('project', ExactId) project: string,
    @Query('before', new ParseIntPipe({ optional: true })) before?: number,
  ): Promise<RevisionView[]> {
    return this.revisions.list(project, before ?? 2 ** 31 - 1);
  }

  @Get(':revision')
  @Answers('The whole project as it was at a revision', {
    gives: 'the sections of a project file, and `revision`',
    refuses: [404],
  })
  async at(
    @Param('project', ExactId) project: string,
    @Param('revision', ParseIntPipe) revision: number,
    @Req() request: Request,
    @Res() response: Response,
  ): Promise<void> {
    const sections = await this.revisions.at(project, revision);
    response.type('application/json');
    await sendCompressed(request, response, sections);
  }
}
