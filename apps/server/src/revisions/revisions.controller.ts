import { Controller, Get, Param, ParseIntPipe, Query, Res } from '@nestjs/common';
import { ApiQuery, ApiTags } from '@nestjs/swagger';
import { KINDS, SECTION_OF } from '@dialoga/core';
import type { Response } from 'express';
import { Answers } from '../edge/answers.js';
import { RevisionsService, RevisionView } from './revisions.service.js';

@ApiTags('revisions')
@Controller('api/projects/:project/revisions')
export class RevisionsController {
  constructor(private readonly revisions: RevisionsService) {}

  @Get()
  @ApiQuery({ name: 'before', type: Number, required: false, description: 'continues the list' })
  @Answers('What was changed, newest first', { gives: [RevisionView], refuses: [400] })
  list(
    @Param('project') project: string,
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
    @Param('project') id: string,
    @Param('revision', ParseIntPipe) revision: number,
    @Res() response: Response,
  ): Promise<void> {
    const project = await this.revisions.at(id, revision);
    response.type('application/json');
    response.write(`{"revision":${revision}`);
    for (const kind of KINDS) {
      const bodies = [...project.all(kind)].map((entity) => JSON.stringify(entity));
      response.write(`,"${SECTION_OF[kind]}":[${bodies.join(',')}]`);
    }
    response.end('}');
  }
}
