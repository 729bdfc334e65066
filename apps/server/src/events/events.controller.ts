import { BadRequestException, Controller, NotFoundException, Query, Req, Sse, type MessageEvent } from '@nestjs/common';
import { ApiQuery, ApiTags } from '@nestjs/swagger';
import { SkipThrottle } from '@nestjs/throttler';
import { ID_PATTERN } from '@dialoga/core/entry';
import type { Request } from 'express';
import { interval, map, merge, ReplaySubject, takeUntil, type Observable } from 'rxjs';
import { Answers } from '../edge/answers.js';
import { EventsService } from './events.service.js';
import { Streams } from './streams.js';

const ALIVE_MS = 20_000;
const MOST_PROJECTS = 50;

@ApiTags('events')
@SkipThrottle()
@Controller('api/events')
export class EventsController {
  private readonly streams = new Streams();

  constructor(private readonly events: EventsService) {}

  /** A revision whose change set is large comes without it: fetch the changes since the revision that is known. */
  @Sse()
  @ApiQuery({ name: 'projects', type: String, description: 'ids with commas between them' })
  @Answers('One stream of the new revisions of some projects', {
    gives: 'events of `{ project, revision, entry }`; entry: `{ revision, author, set }`, or null',
    refuses: [400, 404, 429],
  })
  async stream(@Query('projects') asked: unknown, @Req() request: Request): Promise<Observable<MessageEvent>> {
    const projects = typeof asked === 'string' ? [...new Set(asked.split(',', MOST_PROJECTS + 2))] : [];
    if (projects.length === 0 || projects.length > MOST_PROJECTS || !projects.every((id) => ID_PATTERN.test(id))) {
      throw new BadRequestException({ message: `Name 1 to ${MOST_PROJECTS} projects: ?projects=one,other` });
    }
    const response = request.res!;
    const close = this.streams.add(request.ip ?? '');
    // Whoever goes while the database is asked is gone before anything listens for it.
    const gone = new ReplaySubject<void>(1);
    response.once('close', () => {
      close();
      gone.next();
    });
    const known = await this.events.known(projects);
    if (known.size === 0) throw new NotFoundException({ message: 'There is no such project.' });
    const told = [...known].map((project) =>
      this.events.news(project).pipe(map((news): MessageEvent => ({ data: { project, ...news } }))),
    );
    const alive = interval(ALIVE_MS).pipe(map((): MessageEvent => ({ type: 'alive', data: '' })));
    return merge(...told, alive).pipe(takeUntil(gone));
  }
}
