import { AtMost } from '@dialoga/core/entry';
import { ApiProperty } from '@nestjs/swagger';
import { IsIn, IsNumber, IsOptional, IsString } from 'class-validator';
import { LONGEST_AUTHOR } from '../database/tables.js';

export class StartDto {
  @ApiProperty({ required: false, maxLength: LONGEST_AUTHOR, description: 'who starts it, as he names himself' })
  @IsOptional()
  @IsString()
  @AtMost(LONGEST_AUTHOR)
  author?: string;
}

const DOES = ['cut', 'join', 'stop', 'start', 'release', 'set', 'let go'] as const;

/** One thing that is done to a running rehearsal. */
export class DoDto {
  @ApiProperty({ enum: DOES })
  @IsIn(DOES, { message: `must be one of ${DOES.join(', ')}` })
  what!: (typeof DOES)[number];

  @ApiProperty({ description: 'the network or port to cut or join, the station, the exchange, or the link' })
  @IsString()
  @AtMost(200)
  id!: string;

  @ApiProperty({ required: false, description: 'of a link: which value; empty: the whole block' })
  @IsOptional()
  @IsString()
  @AtMost(200)
  key?: string;

  @ApiProperty({ required: false, description: 'what it is set to, and held at' })
  @IsOptional()
  @IsNumber({}, { message: 'must be a number' })
  value?: number;
}

export class StandingView {
  @ApiProperty() station!: string;
  @ApiProperty() name!: string;
  @ApiProperty({ description: 'its address in the plan' }) planned!: string;
  @ApiProperty() protocol!: string;
  @ApiProperty({ description: 'what to type into an outside client' }) typed!: string;
}

/** How an exchange runs. */
export class RunningExchange {
  @ApiProperty() id!: string;
  @ApiProperty({ description: 'ways on which data goes' }) links!: number;
  @ApiProperty() up!: number;
  @ApiProperty({ description: 'lost, and noticed' }) lost!: number;
  @ApiProperty({ description: 'the first hop that stops one, in its own words', nullable: true, type: String })
  stopped!: string | null;
  @ApiProperty({ description: 'its data waits for a release' }) waits!: boolean;
}

export class DrivenView {
  @ApiProperty() link!: string;
  @ApiProperty() key!: string;
  @ApiProperty({ description: 'the value and its station' }) name!: string;
}

export class RehearsalView {
  @ApiProperty({ description: 'the revision that runs' }) revision!: number;
  @ApiProperty() by!: string;
  @ApiProperty() since!: Date;
  @ApiProperty({ description: 'ms of the plant since it began' }) now!: number;
  @ApiProperty({ type: [StandingView] }) standings!: StandingView[];
  @ApiProperty({ type: [RunningExchange] }) exchanges!: RunningExchange[];
  @ApiProperty({ type: [String], description: 'networks and ports that are cut' }) cuts!: string[];
  @ApiProperty({ type: [String], description: 'stations that are stopped' }) stopped!: string[];
  @ApiProperty({ type: [DrivenView], description: 'what stands in for programs, to be taken off' })
  driven!: DrivenView[];
}

/** Whether a rehearsal runs. */
export class RehearsalState {
  @ApiProperty({ type: RehearsalView, nullable: true, description: 'null: none does' })
  running!: RehearsalView | null;
}

export class ValueView {
  @ApiProperty() key!: string;
  @ApiProperty() source!: string;
  @ApiProperty() sink!: string;
  @ApiProperty({ description: 'as its source writes it' }) sent!: string;
  @ApiProperty({ description: 'as its sink writes it' }) has!: string;
}

/** One way from a source to a sink, now. */
export class LinkView {
  @ApiProperty() id!: string;
  @ApiProperty() lane!: string;
  @ApiProperty() source!: string;
  @ApiProperty() sink!: string;
  @ApiProperty({ description: 'the ends of the two' }) sourceEnd!: string;
  @ApiProperty() sinkEnd!: string;
  @ApiProperty({ type: Number, nullable: true, description: 'ms since something last arrived' }) age!: number | null;
  @ApiProperty({ type: String, nullable: true }) stopped!: string | null;
  @ApiProperty({ description: 'what the sink has' }) sinkHas!: string;
  @ApiProperty({ description: 'what the program of the source believes' }) sourceBelieves!: string;
  @ApiProperty({ description: 'what the status says' }) statusSays!: string;
  @ApiProperty({ type: [ValueView] }) values!: ValueView[];
}
