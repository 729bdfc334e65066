import { Module } from '@nestjs/common';
import { ProjectsModule } from '../projects/projects.module.js';
import { RehearsalController } from './rehearsal.controller.js';
import { RehearsalService } from './rehearsal.service.js';

@Module({ imports: [ProjectsModule], controllers: [RehearsalController], providers: [RehearsalService] })
export class RehearsalModule {}
