import { applyDecorators, type Type } from '@nestjs/common';
import { ApiOperation, ApiProperty, ApiResponse } from '@nestjs/swagger';

/** One thing that is wrong with what was sent. */
export class ProblemAnswer {
  @ApiProperty({ description: 'where: the path of a field, or a line and column' }) where!: string;
  @ApiProperty() found!: string;
  @ApiProperty({ description: 'what would be right' }) expected!: string;
}

/** Every answer that is none of the hoped-for ones. */
export class ErrorAnswer {
  @ApiProperty({ description: 'a sentence for people' }) message!: string;
  @ApiProperty({ type: [ProblemAnswer], required: false }) problems?: ProblemAnswer[];
  @ApiProperty({
    type: Object,
    required: false,
    description: 'why a change set was refused: what is stored, or what depends on what',
  })
  refusal?: object;
}

const REFUSALS = {
  400: 'The request cannot be read; each field that is wrong is named.',
  413: 'It is larger than the server takes.',
  429: 'There are too many already.',
  404: 'There is no such thing.',
  409: 'It meets another edit, or there is no room for more: both values, or what depends on what.',
  422: 'It would leave something that cannot be.',
} as const;

interface Described {
  /** what a success answers; a list of them where it is in brackets; text where a description */
  gives?: Type | [Type] | string;
  status?: number;
  refuses?: readonly (keyof typeof REFUSALS)[];
}

/** What the interface's description says of one address: what it does, what it answers, and how it refuses. */
export function Answers(summary: string, { gives, status = 200, refuses = [] }: Described = {}): MethodDecorator {
  const list = Array.isArray(gives);
  const type = list ? gives[0] : gives;
  return applyDecorators(
    ApiOperation({ summary }),
    ApiResponse(
      typeof type === 'function' ? { status, type, isArray: list } : { status, ...(type ? { description: type } : {}) },
    ),
    ...refuses.map((code) => ApiResponse({ status: code, type: ErrorAnswer, description: REFUSALS[code] })),
    ApiResponse({
      status: 503,
      type: ErrorAnswer,
      description: 'The database does not answer, or too much waits; try again.',
    }),
    ApiResponse({ status: 507, type: ErrorAnswer, description: 'The disk of the database is full.' }),
  );
}
