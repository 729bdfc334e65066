import { Body, Controller, Delete, Get, HttpCode, Param, Post } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { Answers } from '../edge/answers.js';
import { ExactId } from '../edge/exact-id.js';
import { DoDto, LinkView, RehearsalState, RehearsalView, StartDto } from './rehearsal.dto.js';
import { RehearsalService } from './rehearsal.service.js';

@ApiTags('rehearsal')
@Controller('api/projects/:project/rehearsal')
export class RehearsalController {
  constructor(private readonly rehearsals: RehearsalService) {}

  @Post()
  @Answers('Lets the newest revision run on stand-ins; one that runs begins anew', {
    gives: RehearsalView,
    status: 201,
    refuses: [400, 404, 409],
  })
  start(@Param('project', ExactId) id: string, @Body() { author }: StartDto): Promise<RehearsalView> {
    return this.rehearsals.start(id, author?.trim() ?? '');
  }

  @Get()
  @Answers('Who stands where, and how everything runs', { gives: RehearsalState, refuses: [404] })
  view(@Param('project', ExactId) id: string): Promise<RehearsalState> {
    return this.rehearsals.view(id);
  }

  @Get('exchanges/:exchange')
  @Answers('The values of an exchange at both ends, now', { gives: [LinkView], refuses: [404] })
  links(@Param('project', ExactId) id: string, @Param('exchange', ExactId) exchange: string): Promise<LinkView[]> {
    return this.rehearsals.links(id, exchange);
  }

  @Post('do')
  @HttpCode(200)
  @Answers(
    'Cuts, joins, stops, starts, loads, releases, sets a value or takes it off, hands a station to another program, slows time',
    {
      gives: RehearsalView,
      refuses: [400, 404],
    },
  )
  do(@Param('project', ExactId) id: string, @Body() asked: DoDto): Promise<RehearsalView> {
    return this.rehearsals.do(id, asked);
  }

  @Delete()
  @HttpCode(204)
  @Answers('Ends it', { status: 204 })
  end(@Param('project', ExactId) id: string): Promise<void> {
    return this.rehearsals.end(id);
  }
}
