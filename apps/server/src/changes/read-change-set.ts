import { isUtf8 } from 'node:buffer';
import { BadRequestException } from '@nestjs/common';
import type { ChangeSet } from '@dialoga/core/change';
import { quoted, type Problem } from '@dialoga/core/model';
import { DEEPEST, inspectFields } from '@dialoga/core/entry';
import { tooMuchIn } from '../edge/body-size.js';
import { MOST_CHANGES_VALUES } from '../edge/limits.js';
import type { ErrorBody } from '../edge/problems.js';
import { ChangeDto, ChangeSetHead, MOST_CHANGES } from './change-set.dto.js';

const MOST_PROBLEMS = 100;

export interface SentChangeSet {
  set: ChangeSet;
  author: string | null;
}

/**
 * A change set out of the body of a request. It is counted before anything is made of it, and looked through change by
 * change until there are enough problems; so what it costs to refuse it does not grow with it. Throws the answer, 400.
 */
export function readChangeSet(body: Uint8Array): SentChangeSet {
  if (!isUtf8(body)) throw refused('The body is not UTF-8; nothing was changed.');
  const tooMuch = tooMuchIn(body, MOST_CHANGES_VALUES, DEEPEST);
  if (tooMuch === 'depth') throw refused(`The body nests deeper than ${DEEPEST} levels.`);
  if (tooMuch === 'values')
    throw refused(`The body holds more than ${MOST_CHANGES_VALUES.toLocaleString('en')} values.`);
  let tree: unknown;
  try {
    tree = JSON.parse(Buffer.from(body.buffer, body.byteOffset, body.byteLength).toString('utf8'));
  } catch {
    throw refused('The body is not JSON.');
  }
  return judged(tree);
}

function judged(tree: unknown): SentChangeSet {
  if (typeof tree !== 'object' || tree === null || Array.isArray(tree)) {
    throw wrong([{ where: 'body', found: quoted(tree), expected: 'must be an object' }]);
  }
  const { changes, ...head } = tree as Record<string, unknown>;
  const problems = fields(ChangeSetHead, head, '');
  const list: unknown[] = Array.isArray(changes) ? changes : [];
  if (list.length === 0 || list.length > MOST_CHANGES) {
    const found = Array.isArray(changes) ? `${changes.length} changes` : quoted(changes);
    const expected = `must be a list of 1 to ${MOST_CHANGES.toLocaleString('en')} changes`;
    throw wrong([...problems, { where: 'changes', found, expected }].slice(0, MOST_PROBLEMS));
  }
  for (const [i, change] of list.entries()) {
    if (problems.length >= MOST_PROBLEMS) break;
    problems.push(...fields(ChangeDto, change, `changes.${i}`));
  }
  if (problems.length > 0) throw wrong(problems.slice(0, MOST_PROBLEMS));
  const { id, label, author } = head as unknown as ChangeSetHead;
  return { set: { id, label, changes: list as ChangeSet['changes'] }, author: author?.trim() || null };
}

const fields = (type: new () => object, value: unknown, where: string): Problem[] =>
  inspectFields(type, value).map(({ path, found, expected }) => ({
    where: [where, ...path].filter((part) => part !== '').join('.'),
    found,
    expected,
  }));

const refused = (message: string): BadRequestException => new BadRequestException({ message } satisfies ErrorBody);

const wrong = (problems: Problem[]): BadRequestException =>
  new BadRequestException({ message: 'The request is invalid.', problems } satisfies ErrorBody);
