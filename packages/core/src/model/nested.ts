/**
 * Decorators for fields that hold other checked things. class-validator looks at one flat object; these record
 * which class a nested value has, so that `inspect` can walk down and name the full path of a bad field.
 */
export type NestedShape = 'one' | 'record';

export interface NestedField {
  field: string;
  type: () => new () => object;
  shape: NestedShape;
  /** the value may also be `{ typed }`: text kept as it was typed, because it could not be read */
  orTyped: boolean;
  nullable: boolean;
}

const registry = new Map<object, NestedField[]>();

export function nestedFieldsOf(type: new () => object): readonly NestedField[] {
  return registry.get(type) ?? [];
}

function register(
  shape: NestedShape,
  type: () => new () => object,
  options: { orTyped?: boolean; nullable?: boolean },
) {
  return (target: object, field: string | symbol) => {
    const owner = (target as { constructor: object }).constructor;
    const fields = registry.get(owner) ?? [];
    fields.push({
      field: String(field),
      type,
      shape,
      orTyped: options.orTyped ?? false,
      nullable: options.nullable ?? false,
    });
    registry.set(owner, fields);
  };
}

/** One nested object of the given class. */
export const Nested = (type: () => new () => object, options: { orTyped?: boolean; nullable?: boolean } = {}) =>
  register('one', type, options);

/** A list keyed by id: every value is an object of the given class. */
export const RecordOf = (type: () => new () => object, options: { nullable?: boolean } = {}) =>
  register('record', type, options);
