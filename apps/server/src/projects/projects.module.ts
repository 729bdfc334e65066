import { Module, type DynamicModule } from '@nestjs/common';
import { ChangesModule } from '../changes/changes.module.js';
import { FilesController } from '../files/files.controller.js';
import { JobsModule } from '../jobs/jobs.module.js';
import { RevisionsModule } from '../revisions/revisions.module.js';
import { ProjectsController } from './projects.controller.js';
import { DEMO_FOLDER, ProjectsService } from './projects.service.js';

@Module({})
export class ProjectsModule {
  static with(demoFolder: string): DynamicModule {
    return {
      module: ProjectsModule,
      imports: [ChangesModule, JobsModule, RevisionsModule],
      controllers: [ProjectsController, FilesController],
      providers: [ProjectsService, { provide: DEMO_FOLDER, useValue: demoFolder }],
      exports: [ProjectsService],
    };
  }
}
