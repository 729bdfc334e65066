import { Controller, Param, Sse, type MessageEvent } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { SkipThrottle } from '@nestjs/throttler';
import { interval, map, merge, type Observable } from 'rxjs';
import { EventsService } from './events.service.js';

const ALIVE_MS = 20_000;

@ApiTags('events')
@SkipThrottle()
@Controller('api/projects/:project/events')
export class EventsController {
  constructor(private readonly events: EventsService) {}

  /** A stream of revisions: fetch the changes since the one that is known. */
  @Sse()
  stream(@Param('project') project: string): Observable<MessageEvent> {
    const revisions = this.events.revisions(project).pipe(map((revision): MessageEvent => ({ data: { revision } })));
    const alive = interval(ALIVE_MS).pipe(map((): MessageEvent => ({ type: 'alive', data: '' })));
    return merge(revisions, alive);
  }
}
