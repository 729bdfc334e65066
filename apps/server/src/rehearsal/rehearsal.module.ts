import { Module } from '@nestjs/common';
import { EventsModule } from '../events/events.module.js';
import { ProjectsModule } from '../projects/projects.module.js';
import { RehearsalController } from './rehearsal.controller.js';
import { RehearsalService } from './rehearsal.service.js';
import { WhoRunsIt } from './who-runs-it.js';

@Module({
  imports: [ProjectsModule, EventsModule],
  controllers: [RehearsalController],
  providers: [RehearsalService, WhoRunsIt],
})
export class RehearsalModule {}
