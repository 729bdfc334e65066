import { Body, Controller, Get, Param, ParseIntPipe, Post, Query } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { ChangeSetDto } from './change-set.dto.js';
import type { JournalEntry } from '../database/journal.js';
import { ChangesService } from './changes.service.js';

@ApiTags('changes')
@Controller('api/projects/:project/changes')
export class ChangesController {
  constructor(private readonly changes: ChangesService) {}

  /** Commits one change set; 409 with both values where something else is stored than it expected. */
  @Post()
  async commit(@Param('project') project: string, @Body() set: ChangeSetDto): Promise<{ revision: number }> {
    return { revision: await this.changes.commit(project, set) };
  }

  /** The change sets after a revision. */
  @Get()
  async since(
    @Param('project') project: string,
    @Query('since', ParseIntPipe) revision: number,
  ): Promise<JournalEntry[]> {
    return this.changes.since(project, revision);
  }
}
