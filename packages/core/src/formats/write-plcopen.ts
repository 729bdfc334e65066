import { XMLBuilder } from 'fast-xml-parser';
import { boundsOf, parseType, type Bounds } from '../data/types.js';
import type { ListedTag, TagTexts } from './tag-list.js';

const NAMESPACE = 'http://www.plcopen.org/xml/tc6_0201';

const builder = new XMLBuilder({
  ignoreAttributes: false,
  attributeNamePrefix: '@',
  format: true,
  indentBy: '  ',
  suppressEmptyNode: true,
});

/**
 * Tags as a project of PLCopen XML: globals of one resource, locals of programs, structures as data types. The inverse of
 * `readPlcopen`. The moment is told, so that the same tags give the same file. [published: PLCopen TC6, XML Formats for IEC 61131-3, 2.01] [from memory]
 */
export function writePlcopen(list: TagTexts, name: string, moment: string): string {
  const programs = [...new Set(list.tags.map((tag) => tag.says.program ?? ''))].filter((p) => p !== '').sort();
  const of = (program: string) => list.tags.filter((tag) => (tag.says.program ?? '') === program).map(variable);
  const body = {
    '?xml': { '@version': '1.0', '@encoding': 'utf-8' },
    project: {
      '@xmlns': NAMESPACE,
      fileHeader: {
        '@companyName': '',
        '@productName': 'Dialoga',
        '@productVersion': '1',
        '@creationDateTime': moment,
      },
      contentHeader: { '@name': name },
      types: {
        dataTypes: {
          dataType: list.structures.map((structure) => ({
            '@name': structure.name,
            baseType: {
              struct: {
                variable: structure.members.map((m) =>
                  variable({ line: 0, name: m.name, says: { type: m.type, comment: m.comment } }),
                ),
              },
            },
          })),
        },
        pous: {
          pou: programs.map((program) => ({
            '@name': program,
            '@pouType': 'program',
            interface: { localVars: { variable: of(program) } },
          })),
        },
      },
      instances: {
        configurations: {
          configuration: {
            '@name': 'Configuration',
            resource: { '@name': 'Resource', globalVars: { variable: of('') } },
          },
        },
      },
    },
  };
  return builder.build(body) as string;
}

function variable({ name, says }: ListedTag) {
  return {
    '@name': name,
    ...(says.place ? { '@address': says.place } : {}),
    type: typeElement(says.type ?? ''),
    ...(says.comment
      ? { documentation: { xhtml: { '@xmlns': 'http://www.w3.org/1999/xhtml', '#text': says.comment } } }
      : {}),
  };
}

/** `REAL ×3` is an array of REAL from 0 to 2; what is no type of the standard is a derived one, by its name. */
function typeElement(text: string): object {
  const type = parseType(text);
  const [, named = text, times] = /^(.+?) ×(\d+)$/.exec(text) ?? [];
  if (!type.ok)
    return times
      ? array([[0, Number(times) - 1]], { derived: { '@name': named } })
      : { derived: { '@name': named || 'BOOL' } };
  const { base, count, capacity } = type.value;
  const isText = base === 'STRING' || base === 'WSTRING';
  const one = isText ? { [base.toLowerCase()]: capacity ? { '@length': String(capacity) } : '' } : { [base]: '' };
  return count === 1 && !type.value.bounds ? one : array(boundsOf(type.value), one);
}

const array = (bounds: Bounds, baseType: object) => ({
  array: {
    dimension: bounds.map(([low, high]) => ({ '@lower': String(low), '@upper': String(high) })),
    baseType,
  },
});
