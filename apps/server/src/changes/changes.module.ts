import { Module } from '@nestjs/common';
import { EventsModule } from '../events/events.module.js';
import { ChangesController } from './changes.controller.js';
import { ChangesService } from './changes.service.js';

@Module({
  imports: [EventsModule],
  controllers: [ChangesController],
  providers: [ChangesService],
  exports: [ChangesService],
})
export class ChangesModule {}
