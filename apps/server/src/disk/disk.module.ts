import { Global, Module } from '@nestjs/common';
import { Disk } from './disk.js';

@Global()
@Module({ providers: [Disk], exports: [Disk] })
export class DiskModule {}
