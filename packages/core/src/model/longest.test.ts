import { projectFileSchema } from '../file/schema.js';
import { SECTION_OF } from '../file/canonical.js';
import { tooLong } from '../change/too-long.js';
import type { Change } from '../change/change.js';
import { KINDS, type Kind } from './kinds.js';
import { longestAt } from './longest.js';

type Node = Record<string, unknown>;

/** Every text of the schema that has a longest length, with a path to it. */
function* textsOf(
  defs: Record<string, Node>,
  node: Node,
  path: string[],
  inside: string[],
): Generator<[string[], number]> {
  if (typeof node.$ref === 'string') {
    const name = node.$ref.split('/').at(-1)!;
    if (!inside.includes(name)) yield* textsOf(defs, defs[name]!, path, [...inside, name]);
    return;
  }
  for (const choice of (node.anyOf ?? []) as Node[]) yield* textsOf(defs, choice, path, inside);
  if (node.type === 'string' && typeof node.maxLength === 'number') yield [path, node.maxLength];
  if (node.type === 'array' && node.items) yield* textsOf(defs, node.items as Node, [...path, '3'], inside);
  for (const [field, inner] of Object.entries((node.properties ?? {}) as Record<string, Node>)) {
    yield* textsOf(defs, inner, [...path, field], inside);
  }
  if (typeof node.additionalProperties === 'object') {
    yield* textsOf(defs, node.additionalProperties as Node, [...path, 'some-key'], inside);
  }
}

const schema = projectFileSchema() as { $defs: Record<string, Node>; properties: Record<string, { items: Node }> };
const texts = (kind: Kind) => [...textsOf(schema.$defs, schema.properties[SECTION_OF[kind]]!.items, [], [])];

test.each(KINDS)('the texts of a %s are as long as its class allows', (kind) => {
  for (const [path, longest] of texts(kind)) expect([path, longestAt(kind, path)]).toEqual([path, longest]);
});

test('each of them is refused where it has one character more, however the change is made', () => {
  let tried = 0;
  for (const kind of KINDS) {
    for (const [path, longest] of texts(kind)) {
      const change = (length: number): Change => ({ kind, id: 'a', path, after: 'x'.repeat(length) });
      const whole = (length: number): Change => ({
        ...change(length),
        path: [],
        after: path.reduceRight<unknown>(
          (inner, key) => ({ [key]: inner }),
          'x'.repeat(length),
        ) as Change['after'] & {},
      });
      expect([tooLong(change(longest)), tooLong(whole(longest))]).toEqual([null, null]);
      expect(tooLong(change(longest + 1))).toContain(`has ${longest + 1} characters`);
      expect(tooLong(whole(longest + 1))).toContain(`takes at most ${longest}`);
      tried += 1;
    }
  }
  expect(tried).toBeGreaterThan(150);
});

test('the sentence says what it begins with, how long it is, and how long it may be', () => {
  const after = { typed: 'q'.repeat(2001) };
  expect(tooLong({ kind: 'claim', id: 'c', path: ['items', 'k', 'type'], after })).toBe(
    '“qqqqqqqqqqqqqqqqqqqq…” has 2001 characters; “type” of a claim takes at most 2000',
  );
  expect(tooLong({ kind: 'helper', id: 'h', path: ['drawnAs'], after: 'x'.repeat(300) })).toBe(
    '“xxxxxxxxxxxxxxxxxxxx…” has 300 characters; “drawn as” of a placeholder station takes at most 200',
  );
  expect(tooLong({ kind: 'port', id: 'p', path: ['former'], after: ['10.0.0.1', '9'.repeat(61)] })).toContain(
    '“former” of a port',
  );
  expect(tooLong({ kind: 'port', id: 'p', path: ['name'] })).toBeNull();
});
