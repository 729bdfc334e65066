import { Controller, Delete, Get, HttpCode, Param } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { JobView } from './job.dto.js';
import { JobsService } from './jobs.service.js';

@ApiTags('jobs')
@Controller('api/jobs/:job')
export class JobsController {
  constructor(private readonly jobs: JobsService) {}

  /** How far it is. */
  @Get()
  get(@Param('job') id: string): Promise<JobView> {
    return this.jobs.get(id);
  }

  /** Asks it to stop; what it did is then taken back. */
  @Delete()
  @HttpCode(202)
  stop(@Param('job') id: string): Promise<void> {
    return this.jobs.stop(id);
  }
}
