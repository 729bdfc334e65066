import type { Kind } from './kinds.js';

/**
 * What a class says of its fields beside what class-validator checks. Everything that has to know the fields of a kind
 * walks over this: `inspect`, `references`, `longest`, the project file and its schema.
 */
export type Class = new () => object;

/** What becomes of a field, or of what holds it, when the thing that it names is deleted. */
export type WhenGone = 'it goes' | 'its owner goes' | 'field emptied' | 'whole emptied' | 'entry dropped';

export interface NamedBy {
  /** what kind of thing it names: always the same, or told by what holds the field */
  kind: Kind | ((holder: Record<string, unknown>) => Kind);
  whenGone: WhenGone;
}

export interface NestedField {
  field: string;
  type: () => Class;
  shape: 'one' | 'record';
  /** the value may also be `{ typed }`: text kept as it was typed, because it could not be read */
  orTyped: boolean;
  nullable: boolean;
  /** of a record: what its keys are ids of */
  keyedBy: Kind | null;
  /** of a record: whether the project file writes it on one line */
  onOneLine: boolean;
}

interface Declared {
  names: Map<string, NamedBy>;
  nested: NestedField[];
  longest: Map<string, number>;
  words: { one: string; many: string } | null;
}

const registry = new Map<object, Declared>();

export function declaredOf(type: object): Readonly<Declared> {
  let known = registry.get(type);
  if (!known) registry.set(type, (known = { names: new Map(), nested: [], longest: new Map(), words: null }));
  return known;
}

const onField =
  (say: (declared: Declared, field: string) => void): PropertyDecorator =>
  (target, field) => {
    say(declaredOf(target.constructor), String(field));
  };

/** The field holds the id of a thing of this kind. */
export const Names = (kind: NamedBy['kind'], whenGone: WhenGone = 'field emptied') =>
  onField(({ names }, field) => names.set(field, { kind, whenGone }));

/** The field holds the id of what this is a part of, and goes with. */
export const PartOf = (kind: Kind) => Names(kind, 'its owner goes');

/** One nested object of the given class. */
export const Nested = (type: () => Class, { orTyped = false, nullable = false } = {}) =>
  onField(({ nested }, field) =>
    nested.push({ field, type, shape: 'one', orTyped, nullable, keyedBy: null, onOneLine: true }),
  );

/** A list keyed by id: every value is an object of the given class. */
export const RecordOf = (
  type: () => Class,
  {
    nullable = false,
    keyedBy = null,
    onOneLine = false,
  }: { nullable?: boolean; keyedBy?: Kind | null; onOneLine?: boolean } = {},
) =>
  onField(({ nested }, field) =>
    nested.push({ field, type, shape: 'record', orTyped: false, nullable, keyedBy, onOneLine }),
  );

/** How many characters the text takes. */
export const Longest = (characters: number) => onField(({ longest }, field) => longest.set(field, characters));

/** What a kind is called in a sentence, where that is not its own name; `many` without a word makes its plural. */
export const Called =
  (one: string, many = `${one}s`): ClassDecorator =>
  (type) => {
    (declaredOf(type) as Declared).words = { one, many };
  };
