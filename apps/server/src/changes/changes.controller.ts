import { Body, Controller, Get, Param, ParseIntPipe, Post, Query } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { Answers } from '../edge/answers.js';
import { ChangeSetDto, Committed, JournalView } from './change-set.dto.js';
import { ChangesService } from './changes.service.js';

@ApiTags('changes')
@Controller('api/projects/:project/changes')
export class ChangesController {
  constructor(private readonly changes: ChangesService) {}

  @Post()
  @Answers('Commits a change set, whole or not at all', {
    gives: Committed,
    status: 201,
    refuses: [400, 404, 409, 422],
  })
  async commit(@Param('project') project: string, @Body() { author, ...set }: ChangeSetDto): Promise<Committed> {
    return { revision: await this.changes.commit(project, set, author?.trim() || null) };
  }

  @Get()
  @Answers('The change sets after a revision, in order; more may follow', { gives: [JournalView], refuses: [400] })
  async since(
    @Param('project') project: string,
    @Query('since', ParseIntPipe) revision: number,
  ): Promise<JournalView[]> {
    return this.changes.since(project, revision);
  }
}
