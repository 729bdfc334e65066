import { Controller, Get, Param, ParseIntPipe, Query, Res } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { KINDS, SECTION_OF } from '@dialoga/core';
import type { Response } from 'express';
import { RevisionsService, type RevisionView } from './revisions.service.js';

@ApiTags('revisions')
@Controller('api/projects/:project/revisions')
export class RevisionsController {
  constructor(private readonly revisions: RevisionsService) {}

  /** What was changed, newest first; `before` continues the list. */
  @Get()
  list(
    @Param('project') project: string,
    @Query('before', new ParseIntPipe({ optional: true })) before?: number,
  ): Promise<RevisionView[]> {
    return this.revisions.list(project, before ?? 2 ** 31 - 1);
  }

  /** The whole project as it was at a revision. */
  @Get(':revision')
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
