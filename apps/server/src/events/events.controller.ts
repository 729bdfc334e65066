import { BadRequestException, Controller, Query, Sse, type MessageEvent } from '@nestjs/common';
import { ApiQuery, ApiTags } from '@nestjs/swagger';
import { SkipThrottle } from '@nestjs/throttler';
import { ID_PATTERN } from '@dialoga/core/entry';
import { interval, map, merge, type Observable } from 'rxjs';
import { Answers } from '../edge/answers.js';
import { EventsService } from './events.service.js';

const ALIVE_MS = 20_000;
const MOST_PROJECTS = 50;

@ApiTags('events')
@SkipThrottle()
@Controller('api/events')
export class EventsController {
  constructor(private readonly events: EventsService) {}

  /** Fetch the changes since the revision that is known. */
  @Sse()
  @ApiQuery({ name: 'projects', type: String, description: 'ids with commas between them' })
  @Answers('One stream of the new revisions of some projects', {
    gives: 'events of `{ project, revision }`',
    refuses: [400],
  })
  stream(@Query('projects') asked: unknown): Observable<MessageEvent> {
    const projects = typeof asked === 'string' ? [...new Set(asked.split(','))] : [];
    if (projects.length === 0 || projects.length > MOST_PROJECTS || !projects.every((id) => ID_PATTERN.test(id))) {
      throw new BadRequestException({ message: `Name 1 to ${MOST_PROJECTS} projects: ?projects=one,other` });
    }
    const told = projects.map((project) =>
      this.events.revisions(project).pipe(map((revision): MessageEvent => ({ data: { project, revision } }))),
    );
    const alive = interval(ALIVE_MS).pipe(map((): MessageEvent => ({ type: 'alive', data: '' })));
    return merge(...told, alive);
  }
}
