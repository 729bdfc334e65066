import { Module } from '@nestjs/common';
import { ChangesModule } from '../changes/changes.module.js';
import { JobsModule } from '../jobs/jobs.module.js';
import { RevisionsModule } from '../revisions/revisions.module.js';
import { ProjectsController } from './projects.controller.js';
import { ProjectsService } from './projects.service.js';
import { SnapshotsService } from './snapshots.service.js';

@Module({
  imports: [ChangesModule, JobsModule, RevisionsModule],
  controllers: [ProjectsController],
  providers: [ProjectsService, SnapshotsService],
  exports: [ProjectsService],
})
export class ProjectsModule {}
