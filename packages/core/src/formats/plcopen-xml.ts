import { XMLParser } from 'fast-xml-parser';
import { read, unread, type Read } from '../text/read.js';
import { xmlShape } from './xml-shape.js';
import {
  listOfTags,
  MOST_TAGS,
  type FileFault,
  type ListedStructure,
  type ListedTag,
  type TagList,
} from './tag-list.js';

/** A node as the parser keeps order: its name with its children, and its attributes. */
type Node = Record<string, unknown> & { ':@'?: Record<string, string> };

const parser = new XMLParser({
  preserveOrder: true,
  ignoreAttributes: false,
  attributeNamePrefix: '',
  processEntities: { enabled: true, maxEntityCount: 0 },
  removeNSPrefix: true,
  parseTagValue: false,
  // Blanks between marked-up words are part of the text.
  trimValues: false,
  // Characters by their number: &#233;
  htmlEntities: true,
});

/**
 * The variables of a project of PLCopen XML: globals of configurations and resources, locals of programs,
 * arrays, derived types, addresses and documentation. Document types are refused, so that no entity is ever opened.
 * [published: PLCopen TC6, XML Formats for IEC 61131-3, 2.01, the root element `project`] [from memory]
 */
export function readPlcopen(text: string): Read<TagList> {
  const shape = xmlShape(text);
  if (!shape.ok) return shape;
  let roots: Node[];
  try {
    roots = parser.parse(text, true) as Node[];
  } catch (problem) {
    const found = problem instanceof Error ? problem.message : String(problem);
    return unread(`this is no XML that can be read: ${found}`, 'import a project of PLCopen XML');
  }
  const project = childrenNamed(roots, 'project')[0];
  if (!project) {
    const root = roots.map(nameOf).find((name) => name !== '?xml') ?? 'nothing';
    return unread(`the document is a “${root}”`, 'its outermost element is “project”, as PLCopen XML has it');
  }
  const tags: ListedTag[] = [];
  const structures: ListedStructure[] = [];
  const faults: FileFault[] = [];
  const seen = { count: 0 };
  const variables = (list: Node, program: string) => {
    for (const variable of childrenNamed(childrenOf(list), 'variable')) {
      seen.count++;
      const name = attribute(variable, 'name');
      const type = typeOf(only(variable, 'type'));
      if (name === '' || type === '') {
        const found = name === '' ? `variable ${seen.count} has no name` : `${name} has no type that is known`;
        faults.push({ line: seen.count, found, expected: 'an attribute “name” and an element “type”' });
        continue;
      }
      const says = { type, place: attribute(variable, 'address'), program, comment: documentation(variable) };
      tags.push({ line: seen.count, name, says });
    }
  };
  const walk = (nodes: readonly Node[], program: string) => {
    for (const node of nodes) {
      switch (nameOf(node)) {
        case 'globalVars':
          variables(node, '');
          break;
        case 'localVars':
          if (program !== '') variables(node, program);
          break;
        case 'dataType': {
          const structure = structureOf(node);
          if (structure) structures.push({ line: structures.length + 1, ...structure });
          break;
        }
        case 'pou':
          if (attribute(node, 'pouType') === 'program') walk(childrenOf(node), attribute(node, 'name'));
          break;
        default:
          walk(childrenOf(node), program);
      }
    }
  };
  walk(childrenOf(project), '');
  if (tags.length > MOST_TAGS) return unread(`${tags.length} variables`, `a list has at most ${MOST_TAGS} tags`);
  return read(listOfTags(tags, ['type', 'place', 'program', 'comment'], { structures, faults }));
}

const nameOf = (node: Node): string => Object.keys(node).find((key) => key !== ':@') ?? '';
const childrenOf = (node: Node): Node[] => {
  const inside = node[nameOf(node)];
  return Array.isArray(inside) ? (inside as Node[]) : [];
};
const childrenNamed = (nodes: readonly Node[], name: string): Node[] => nodes.filter((node) => nameOf(node) === name);
const only = (node: Node, name: string): Node | undefined => childrenNamed(childrenOf(node), name)[0];
const attribute = (node: Node, name: string): string => String(node[':@']?.[name] ?? '').trim();

/** Elements of XHTML that stand in a line of their own; all others are within one. */
const BLOCKS: readonly string[] = ['p', 'div', 'br', 'li', 'ul', 'ol', 'h1', 'h2', 'h3', 'h4', 'tr', 'td', 'th', 'pre'];

/** The text of all elements inside, as XHTML of a documentation has it. */
function textOf(node: Node): string {
  const own = node['#text'];
  if (own !== undefined) return String(own);
  const inside = childrenOf(node).map(textOf).join('');
  return BLOCKS.includes(nameOf(node)) ? ` ${inside} ` : inside;
}

const documentation = (variable: Node): string => {
  const node = only(variable, 'documentation');
  return node ? textOf(node).replace(/\s+/g, ' ').trim() : '';
};

/** `INT`, `ARRAY[0..7] OF INT`, `STRING[30]`, `Pump`; empty where nothing is known of it. */
function typeOf(type: Node | undefined): string {
  const node = (type ? childrenOf(type) : []).find((one) => nameOf(one) !== '#text');
  if (!node) return '';
  const name = nameOf(node);
  if (name === 'derived') return attribute(node, 'name');
  if (name === 'string' || name === 'wstring') {
    const length = attribute(node, 'length');
    const base = name.toUpperCase();
    return length === '' ? base : `${base}[${length}]`;
  }
  if (name !== 'array') return name.toUpperCase();
  const bounds = childrenNamed(childrenOf(node), 'dimension').map(
    (dimension) => `${attribute(dimension, 'lower')}..${attribute(dimension, 'upper')}`,
  );
  const inner = typeOf(only(node, 'baseType'));
  return inner === '' || bounds.length === 0 ? '' : `ARRAY[${bounds.join(',')}] OF ${inner}`;
}

function structureOf(node: Node): Omit<ListedStructure, 'line'> | null {
  const base = only(node, 'baseType');
  const struct = base && only(base, 'struct');
  if (!struct) return null;
  const members = childrenNamed(childrenOf(struct), 'variable').map((variable) => ({
    name: attribute(variable, 'name'),
    type: typeOf(only(variable, 'type')),
    comment: documentation(variable),
  }));
  return { name: attribute(node, 'name'), members };
}
