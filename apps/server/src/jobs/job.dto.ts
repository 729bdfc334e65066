import { ApiProperty } from '@nestjs/swagger';
import type { JobState } from '../database/tables.js';
import { ProblemAnswer } from '../edge/answers.js';

const STATES: readonly JobState[] = ['running', 'done', 'failed', 'stopped'];

/** Long work as its starter follows it. */
export class JobView {
  @ApiProperty() id!: string;
  @ApiProperty() kind!: string;
  @ApiProperty({ enum: STATES }) state!: JobState;
  @ApiProperty({ description: 'what it is doing, in words; done of total' }) step!: string;
  @ApiProperty() done!: number;
  @ApiProperty() total!: number;
  @ApiProperty({ type: String, nullable: true, description: 'the project that it made' }) project!: string | null;
  @ApiProperty({ type: String, nullable: true, description: 'why it ended without one' }) message!: string | null;
  @ApiProperty({ type: [ProblemAnswer], description: 'what is wrong with what it was given' })
  problems!: ProblemAnswer[];
}

/** What starting long work answers. */
export class JobStarted {
  @ApiProperty({ description: 'follow it at /api/jobs/{job}' }) job!: string;
}
