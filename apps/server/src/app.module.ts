import { Global, Module, type DynamicModule } from '@nestjs/common';
import { APP_GUARD } from '@nestjs/core';
import { ThrottlerGuard, ThrottlerModule } from '@nestjs/throttler';
import { TypeOrmModule } from '@nestjs/typeorm';
import { CONFIG, type Config } from './base/config.js';
import { dataSourceOptions } from './database/data-source.js';
import { DiskModule } from './disk/disk.module.js';
import { FilesModule } from './files/files.module.js';
import { HealthModule } from './health/health.module.js';
import { ProjectsModule } from './projects/projects.module.js';
import { RehearsalModule } from './rehearsal/rehearsal.module.js';
import { WorkModule } from './work/work.module.js';

@Global()
@Module({})
export class AppModule {
  static with(config: Config): DynamicModule {
    return {
      module: AppModule,
      imports: [
        TypeOrmModule.forRoot({ ...dataSourceOptions(config.databaseUrl), retryAttempts: 3 }),
        ThrottlerModule.forRoot({
          throttlers: [{ ttl: 60_000, limit: config.requestsAMinute }],
          errorMessage: 'Too many requests in a minute; try again in a while.',
        }),
        WorkModule,
        DiskModule,
        HealthModule,
        ProjectsModule,
        FilesModule,
        RehearsalModule,
      ],
      providers: [
        { provide: CONFIG, useValue: config },
        { provide: APP_GUARD, useClass: ThrottlerGuard },
      ],
      exports: [CONFIG],
    };
  }
}
