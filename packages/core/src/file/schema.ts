import { validationMetadatasToSchemas } from 'class-validator-jsonschema';
import { ID_PATTERN } from '../model/fields.js';
import { CLASSES, KINDS } from '../model/kinds.js';
import { declaredOf } from '../model/declared.js';
import { DIRECTIONS } from '../model/words.js';
import { FILE_FORMAT, FILE_VERSION, SECTION_OF } from './canonical.js';

type Schema = Record<string, unknown>;

const TYPED: Schema = {
  description: 'text kept as it was typed, because it could not be read',
  type: 'object',
  properties: { typed: { type: 'string' } },
  required: ['typed'],
  additionalProperties: false,
};

/** The JSON Schema of the project file, made from the classes that guard it. */
export function projectFileSchema(): Schema {
  const flat = validationMetadatasToSchemas({
    refPointerPrefix: '#/$defs/',
    additionalConverters: {
      oneOfOrTyped: () => ({ anyOf: [{ enum: [...DIRECTIONS] }, { type: 'null' }, { $ref: '#/$defs/AsTyped' }] }),
    },
  }) as Record<string, Schema>;
  const defs: Record<string, Schema> = { AsTyped: TYPED };
  const add = (type: new () => object): Schema => {
    const ref = { $ref: `#/$defs/${type.name}` };
    if (defs[type.name]) return ref;
    const own = flat[type.name] ?? {};
    const required = new Set((own.required as string[] | undefined) ?? []);
    const properties: Record<string, Schema> = {};
    defs[type.name] = { type: 'object', properties, required: [], additionalProperties: false };
    for (const [name, field] of Object.entries((own.properties as Record<string, Schema> | undefined) ?? {})) {
      properties[name] = required.has(name) ? field : { anyOf: [field, { type: 'null' }] };
    }
    for (const nested of declaredOf(type).nested) {
      const inner = add(nested.type());
      const choices: Schema[] = [
        nested.shape === 'one'
          ? inner
          : {
              type: 'object',
              propertyNames: { pattern: ID_PATTERN.source },
              additionalProperties: inner,
            },
      ];
      if (nested.orTyped) choices.push({ $ref: '#/$defs/AsTyped' });
      if (nested.nullable) choices.push({ type: 'null' });
      else required.add(nested.field);
      properties[nested.field] = choices.length === 1 ? choices[0]! : { anyOf: choices };
    }
    defs[type.name]!.required = [...required].filter((name) => name in properties).sort();
    return ref;
  };
  const sections: Record<string, Schema> = {};
  for (const kind of KINDS) sections[SECTION_OF[kind]] = { type: 'array', items: add(CLASSES[kind]) };
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    title: 'Dialoga project file',
    type: 'object',
    properties: { format: { const: FILE_FORMAT }, version: { const: FILE_VERSION }, ...sections },
    required: ['format', 'version', 'project'],
    additionalProperties: false,
    $defs: defs,
  };
}
