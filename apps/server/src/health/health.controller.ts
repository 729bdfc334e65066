import { Controller, Get, HttpException, ServiceUnavailableException } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { SkipThrottle } from '@nestjs/throttler';
import { DataSource } from 'typeorm';
import { Answers } from '../edge/answers.js';
import { Disk, DISK_FULL } from '../disk/disk.js';

@ApiTags('health')
@SkipThrottle()
@Controller('api/health')
export class HealthController {
  constructor(
    private readonly database: DataSource,
    private readonly disk: Disk,
  ) {}

  @Get()
  @Answers('Whether this process answers, reaches its database, and can store')
  async health(): Promise<{ ok: true }> {
    try {
      await this.database.query('SELECT 1');
    } catch {
      throw new ServiceUnavailableException({ message: 'The database does not answer.' });
    }
    if (await this.disk.isFull()) throw new HttpException({ message: DISK_FULL }, 507);
    return { ok: true };
  }
}
