import { declaredOf } from '../model/declared.js';
import { CLASSES, KINDS, type Entity, type Kind } from '../model/kinds.js';
import { inOrder } from '../model/order.js';
import type { Project } from '../model/project.js';

export const FILE_FORMAT = 'dialoga-project';
export const FILE_VERSION = 1;

/** Fields that stand first, in this order; all others follow by name. */
const FIRST_FIELDS = ['id', 'order', 'name'];

function keysInOrder(value: Record<string, unknown>): string[] {
  const keys = Object.keys(value).filter((key) => value[key] !== undefined && !FIRST_FIELDS.includes(key));
  return [...FIRST_FIELDS.filter((key) => value[key] !== undefined), ...keys.sort()];
}

const isTree = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** A value on one line, keys in the fixed order. */
export function canonicalLine(value: unknown): string {
  if (Array.isArray(value)) return `[${value.map(canonicalLine).join(', ')}]`;
  if (!isTree(value)) return JSON.stringify(value);
  const keys = keysInOrder(value);
  if (keys.length === 0) return '{}';
  return `{ ${keys.map((key) => `${JSON.stringify(key)}: ${canonicalLine(value[key])}`).join(', ')} }`;
}

/** The lists of a kind that get a line an entry, so that a diff of two versions reads well. */
const listsOf = (kind: Kind): ReadonlySet<string> =>
  new Set(declaredOf(CLASSES[kind]).nested.flatMap(({ field, onOneLine }) => (onOneLine ? [] : [field])));

function entityLines(entity: Entity, lists: ReadonlySet<string>, indent: string): string {
  const tree = entity as unknown as Record<string, unknown>;
  const fields = keysInOrder(tree).map((key) => {
    const value = tree[key];
    const name = `${indent}  ${JSON.stringify(key)}: `;
    if (!lists.has(key) || !isTree(value) || Object.keys(value).length === 0) return name + canonicalLine(value);
    const entries = Object.keys(value)
      .sort((a, b) => orderOf(value[a]) - orderOf(value[b]) || (a < b ? -1 : 1))
      .map((entry) => `${indent}    ${JSON.stringify(entry)}: ${canonicalLine(value[entry])}`);
    return `${name}{\n${entries.join(',\n')}\n${indent}  }`;
  });
  return `${indent}{\n${fields.join(',\n')}\n${indent}}`;
}

const orderOf = (value: unknown): number => (isTree(value) && typeof value.order === 'number' ? value.order : 0);

const plural = (kind: Kind) => (kind === 'project' ? 'project' : `${kind}s`.replace(/ys$/, 'ies'));
export const SECTION_OF = Object.fromEntries(KINDS.map((kind) => [kind, plural(kind)])) as Record<Kind, string>;

/**
 * The project file: UTF-8 JSON, entities by kind, order and id, keys in a fixed order; no revision, author or time.
 * Written, read and written again it is the same byte for byte.
 */
export function writeProject(project: Project): string {
  const sections = KINDS.map((kind) => {
    const entities = inOrder(project, kind);
    const lists = listsOf(kind);
    const name = `  ${JSON.stringify(SECTION_OF[kind])}: `;
    if (entities.length === 0) return `${name}[]`;
    return `${name}[\n${entities.map((e) => entityLines(e, lists, '    ')).join(',\n')}\n  ]`;
  });
  return `{\n  "format": "${FILE_FORMAT}",\n  "version": ${FILE_VERSION},\n${sections.join(',\n')}\n}\n`;
}
