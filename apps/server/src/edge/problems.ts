import { BadRequestException, HttpStatus, UnprocessableEntityException, type ValidationError } from '@nestjs/common';
import { quoted, type Problem } from '@dialoga/core/model';

/** The body of every error answer: a sentence, and where it is about input, each place with what would be right. */
export interface ErrorBody {
  message: string;
  problems?: Problem[];
  /** why a change set was refused, as the core says it */
  refusal?: unknown;
}

export function unprocessable(message: string, problems: Problem[]): UnprocessableEntityException {
  const body: ErrorBody = { message, problems };
  return new UnprocessableEntityException({ ...body, statusCode: HttpStatus.UNPROCESSABLE_ENTITY });
}

/** What the validation of a request's body found, with the full path of each field. */
export function fromValidation(errors: ValidationError[]): BadRequestException {
  const problems = errors.flatMap((e) => flattened(e, ''));
  const body: ErrorBody = { message: 'The request is invalid.', problems };
  return new BadRequestException(body);
}

function flattened(error: ValidationError, path: string): Problem[] {
  const where = path ? `${path}.${error.property}` : error.property;
  const own = Object.values(error.constraints ?? {}).map((expected) => ({
    where,
    found: quoted(error.value),
    expected,
  }));
  return [...own, ...(error.children ?? []).flatMap((child) => flattened(child, where))];
}
