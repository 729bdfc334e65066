import { Controller, Delete, Get, HttpCode, Param } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { Answers } from '../edge/answers.js';
import { ExactId } from '../edge/exact-id.js';
import { JobView } from './job.dto.js';
import { JobsService } from './jobs.service.js';

@ApiTags('jobs')
@Controller('api/jobs/:job')
export class JobsController {
  constructor(private readonly jobs: JobsService) {}

  @Get()
  @Answers('How far it is', { gives: JobView, refuses: [404] })
  get(@Param('job', ExactId) id: string): Promise<JobView> {
    return this.jobs.get(id);
  }

  @Delete()
  @HttpCode(202)
  @Answers('Asks it to stop; what it did is then taken back', { status: 202 })
  stop(@Param('job', ExactId) id: string): Promise<void> {
    return this.jobs.stop(id);
  }
}
