import { Module, type DynamicModule } from '@nestjs/common';
import { APP_GUARD } from '@nestjs/core';
import { ThrottlerGuard, ThrottlerModule } from '@nestjs/throttler';
import { TypeOrmModule } from '@nestjs/typeorm';
import type { Config } from './config.js';
import { dataSourceOptions } from './database/data-source.js';
import { HealthController } from './health/health.controller.js';
import { ProjectsModule } from './projects/projects.module.js';

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
        ProjectsModule.with(config.demoFolder),
      ],
      controllers: [HealthController],
      providers: [{ provide: APP_GUARD, useClass: ThrottlerGuard }],
    };
  }
}
