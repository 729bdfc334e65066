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

const DOES = [
  'cut',
  'join',
  'stop',
  'fault',
  'start',
  'load',
  'release',
  'set',
  'let go',
  'send',
  'hand over',
  'take back',
  'pace',
  'step',
] as const;

/** One thing that is done to a running rehearsal. */
export class DoDto {
  @ApiProperty({ enum: DOES })
  @IsIn(DOES, { message: `must be one of ${DOES.join(', ')}` })
  what!: (typeof DOES)[number];

  @ApiProperty({
    description: 'the network or port to cut or join, the station, the exchange, or the link; empty for time',
  })
  @IsString()
  @AtMost(200)
  id!: string;

  @ApiProperty({ required: false, description: 'of a link: which value; empty: the whole block' })
  @IsOptional()
  @IsString()
  @AtMost(200)
  key?: string;

  @ApiProperty({
    required: false,
    description: 'what it is set to and held at, as typed; where another program answers, `127.0.0.1:1502`, or empty',
  })
  @IsOptional()
  @IsString()
  @AtMost(70_000)
  text?: string;

  @ApiProperty({ required: false, description: 'seconds of the plant in a second, 0: it stands; or ms of a step' })
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
  @ApiProperty({ description: 'what it does, as it could be typed again' }) does!: string;
}

export class OutsideView {
  @ApiProperty() station!: string;
  @ApiProperty({ description: 'where it answers, as typed; empty: it only calls' }) at!: string;
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
  @ApiProperty({ type: [String], description: 'stations that are faulted' }) faulted!: string[];
  @ApiProperty({ type: [OutsideView], description: 'stations that another program plays' }) outside!: OutsideView[];
  @ApiProperty({ description: 'seconds of the plant in a second; 0: it stands' }) pace!: number;
  @ApiProperty({ type: [String], description: 'what could not go on after the last edit' }) told!: string[];
  @ApiProperty({ type: [DrivenView], description: 'what stands in for programs, to be taken off' })
  driven!: DrivenView[];
}

/** A rehearsal of another process. */
export class ElsewhereView {
  @ApiProperty() by!: string;
  @ApiProperty({ description: 'the process that runs it, or ran it' }) process!: string;
  @ApiProperty({ description: 'when it was last heard of' }) heard!: Date;
  @ApiProperty({ description: 'it ended with its process' }) isOver!: boolean;
}

/** Whether a rehearsal runs. */
export class RehearsalState {
  @ApiProperty({ type: ElsewhereView, nullable: true, description: 'null: no other process runs one or ran one' })
  elsewhere!: ElsewhereView | null;
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
  @ApiProperty({ description: 'it goes only when somebody sends it' }) onDemand!: boolean;
  @ApiProperty({ type: Number, nullable: true, description: 'ms since something last arrived' }) age!: number | null;
  @ApiProperty({ type: String, nullable: true }) stopped!: string | null;
  @ApiProperty({ description: 'what the sink has' }) sinkHas!: string;
  @ApiProperty({ description: 'what the program of the source believes' }) sourceBelieves!: string;
  @ApiProperty({ description: 'what the status says' }) statusSays!: string;
  @ApiProperty({ type: [ValueView] }) values!: ValueView[];
}
