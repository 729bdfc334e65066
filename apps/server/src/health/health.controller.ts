import { Controller, Get, ServiceUnavailableException } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { SkipThrottle } from '@nestjs/throttler';
import { DataSource } from 'typeorm';
import { Answers } from '../edge/answers.js';

@ApiTags('health')
@SkipThrottle()
@Controller('api/health')
export class HealthController {
  constructor(private readonly database: DataSource) {}

  @Get()
  @Answers('Whether this process answers and reaches its database')
  async health(): Promise<{ ok: true }> {
    try {
      await this.database.query('SELECT 1');
    } catch {
      throw new ServiceUnavailableException({ message: 'The database does not answer.' });
    }
    return { ok: true };
  }
}
