import { Module } from '@nestjs/common';
import { ChangesController } from './changes.controller.js';
import { EventsController } from '../events/events.controller.js';
import { EventsService } from '../events/events.service.js';
import { ChangesService } from './changes.service.js';

@Module({
  controllers: [ChangesController, EventsController],
  providers: [ChangesService, EventsService],
  exports: [ChangesService],
})
export class ChangesModule {}
