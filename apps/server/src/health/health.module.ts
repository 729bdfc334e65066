import { Global, Module } from '@nestjs/common';
import { Disk } from '../disk/disk.js';
import { HealthController } from './health.controller.js';

@Global()
@Module({ controllers: [HealthController], providers: [Disk], exports: [Disk] })
export class HealthModule {}
