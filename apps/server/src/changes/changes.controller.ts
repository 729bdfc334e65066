import { BadRequestException, Controller, Get, Param, ParseIntPipe, Post, Query, Req, Res } from '@nestjs/common';
import { ApiBody, ApiTags } from '@nestjs/swagger';
import type { Request, Response } from 'express';
import { Answers } from '../edge/answers.js';
import { ExactId } from '../edge/exact-id.js';
import { LONG_COMMIT_MS, SILENT_MS } from '../edge/limits.js';
import { sendCompressed } from '../edge/send-compressed.js';
import { ChangeSetDto, Committed, JournalView } from './change-set.dto.js';
import { ChangesService } from './changes.service.js';

@ApiTags('changes')
@Controller('api/projects/:project/changes')
export class ChangesController {
  constructor(private readonly changes: ChangesService) {}

  @Post()
  @ApiBody({ type: ChangeSetDto })
  @Answers('Commits a change set, whole or not at all', {
    gives: Committed,
    status: 201,
    refuses: [400, 404, 409, 413, 422],
  })
  async commit(@Param('project', ExactId) project: string, @Req() request: Request): Promise<Committed> {
    const body: unknown = request.body;
    if (!Buffer.isBuffer(body)) {
      throw new BadRequestException({ message: 'Send the change set as the body, as application/json.' });
    }
    request.socket.setTimeout(LONG_COMMIT_MS);
    try {
      return { revision: await this.changes.commitBody(project, body) };
    } finally {
      request.socket.setTimeout(SILENT_MS);
    }
  }

  @Get()
  @Answers('The change sets after a revision, in order; more may follow', { gives: [JournalView], refuses: [400, 404] })
  async since(
    @Param('project', ExactId) project: string,
    @Query('since', ParseIntPipe) revision: number,
    @Req() request: Request,
    @Res() response: Response,
  ): Promise<void> {
    const list = await this.changes.since(project, revision);
    response.type('application/json');
    if ('text' in list) response.send(list.text);
    else await sendCompressed(request, response, list.compressed);
  }
}
