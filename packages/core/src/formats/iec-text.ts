import { read, unread } from '../text/read.js';
import type { ListFormat } from './list-format.js';
import { declaredType } from './declared-type.js';
import { IecTokens, type Token } from './iec-tokens.js';
import {
  listOfTags,
  MOST_TAGS,
  type FileFault,
  type ListedStructure,
  type ListedTag,
  type TagList,
  type TagTexts,
} from './tag-list.js';

const SECTIONS = ['VAR', 'VAR_GLOBAL', 'VAR_EXTERNAL', 'VAR_INPUT', 'VAR_OUTPUT', 'VAR_IN_OUT', 'VAR_TEMP'];
/** What can only begin something else; names that merely begin like it are names. */
const OPENERS = [
  ...SECTIONS,
  'VAR_CONFIG',
  'VAR_ACCESS',
  'PROGRAM',
  'END_PROGRAM',
  'TYPE',
  'END_TYPE',
  'CONFIGURATION',
];
const ENDS = ['END_VAR', 'END_STRUCT', 'END_TYPE', 'END_PROGRAM', 'END_CONFIGURATION', 'END_RESOURCE'];
const isOne = (words: readonly string[], token: Token): boolean => words.includes(token.text.toUpperCase());
const QUALIFIERS = ['RETAIN', 'NON_RETAIN', 'CONSTANT', 'PERSISTENT'];

/**
 * Declarations of IEC 61131-3: `VAR_GLOBAL … END_VAR`, `VAR … END_VAR` of a `PROGRAM`, `TYPE … END_TYPE` with structures.
 * Comments become the tag's; attributes, pragmas and values at start are passed over. What cannot be read is told with
 * its line, and reading goes on with the next declaration.
 * [published: IEC 61131-3, declaration of variables and of data types] [from memory]
 */
export function readIecText(text: string, progress: (tags: number) => void = () => undefined): TagList {
  const tokens = new IecTokens(text);
  const tags: ListedTag[] = [];
  const structures: ListedStructure[] = [];
  const faults: FileFault[] = [...tokens.faults];
  let program = '';
  for (let token = tokens.next(); token; token = tokens.next()) {
    const word = token.text.toUpperCase();
    if (word === 'PROGRAM') program = tokens.next()?.text ?? '';
    else if (word === 'END_PROGRAM') program = '';
    else if (word === 'TYPE') readTypes(tokens, structures, faults, token);
    else if (SECTIONS.includes(word)) readSection(tokens, token, program, tags, faults);
    progress(tags.length);
    if (tags.length > MOST_TAGS) {
      faults.push({ line: token.line, found: `more than ${MOST_TAGS} tags`, expected: 'import fewer at once' });
      break;
    }
  }
  return listOfTags(tags, ['type', 'place', 'program', 'comment'], { structures, faults, directOnly: true });
}

/** `A, B AT %MW4 : ARRAY [0..3] OF INT := …;` up to END_VAR. */
function readSection(tokens: IecTokens, opened: Token, program: string, tags: ListedTag[], faults: FileFault[]): void {
  const kept = ['VAR', 'VAR_GLOBAL'].includes(opened.text.toUpperCase());
  while (QUALIFIERS.includes(tokens.peek()?.text.toUpperCase() ?? '')) tokens.next();
  for (;;) {
    const first = tokens.peek();
    if (!first || isOne(OPENERS, first)) {
      const found = `${opened.text} of line ${opened.line} is not closed`;
      faults.push({ line: first?.line ?? tokens.lastLine, found, expected: 'END_VAR' });
      return;
    }
    if (first.text.toUpperCase() === 'END_VAR') {
      tokens.next();
      return;
    }
    const declared = readDeclaration(tokens);
    if (!declared.ok) faults.push(declared.fault);
    else if (kept) {
      for (const { name, line } of declared.names) {
        const { type, place, comment } = declared;
        tags.push({ line, name, says: { type, place, program, comment } });
      }
    }
  }
}

type Declared =
  | { ok: true; names: { name: string; line: number }[]; type: string; place: string; comment: string }
  | { ok: false; fault: FileFault };

function readDeclaration(tokens: IecTokens): Declared {
  const before = tokens.commentBefore();
  const names: { name: string; line: number }[] = [];
  const fail = (token: Token | null, expected: string): Declared => {
    const line = token?.line ?? tokens.lastLine;
    tokens.skipPast(';', 'END_VAR');
    return { ok: false, fault: { line, found: token ? `“${token.text}”` : 'the end of the file', expected } };
  };
  for (;;) {
    const token = tokens.next();
    if (!token || token.kind !== 'word') return fail(token, 'the name of a variable');
    names.push({ name: token.text, line: token.line });
    if (tokens.peek()?.text !== ',') break;
    tokens.next();
  }
  let place = '';
  if (tokens.peek()?.text.toUpperCase() === 'AT') {
    tokens.next();
    const at = tokens.next();
    if (at?.kind !== 'address') return fail(at, 'a direct address after AT, as %MW100');
    place = at.text;
  }
  const colon = tokens.next();
  if (colon?.text !== ':') return fail(colon, 'a colon and a type after the name');
  const type = readType(tokens);
  if (type === '') return fail(tokens.peek(), 'a type after the colon');
  if (tokens.peek()?.text === ':=') tokens.skipTo(';');
  const end = tokens.next();
  if (end?.text !== ';') return fail(end, 'a semicolon at the end of the declaration');
  return { ok: true, names, type, place, comment: tokens.commentAfter(end) || before };
}

/** The words of a type up to what ends it: `ARRAY [0..7] OF STRING[30]`. */
function readType(tokens: IecTokens): string {
  const words: string[] = [];
  for (let token = tokens.peek(); token; token = tokens.peek()) {
    if ([';', ':=', ':'].includes(token.text) || isOne(ENDS, token)) break;
    words.push(token.text);
    tokens.next();
  }
  return words
    .join(' ')
    .replace(/-\s+(?=\d)/g, '-')
    .replace(/\s*([[\](),]|\.\.)\s*/g, '$1')
    .replace(/\](?=\w)/g, '] ');
}

/** `Name : STRUCT a : INT; … END_STRUCT;` up to END_TYPE. Other types are named and passed over. */
function readTypes(tokens: IecTokens, structures: ListedStructure[], faults: FileFault[], opened: Token): void {
  for (;;) {
    const name = tokens.next();
    if (!name) {
      faults.push({ line: tokens.lastLine, found: `TYPE of line ${opened.line} is not closed`, expected: 'END_TYPE' });
      return;
    }
    if (name.text.toUpperCase() === 'END_TYPE') return;
    const colon = tokens.next();
    const kind = tokens.next();
    if (colon?.text !== ':' || kind?.text.toUpperCase() !== 'STRUCT') {
      faults.push({ line: name.line, found: `the type ${name.text} is no structure`, expected: 'STRUCT … END_STRUCT' });
      tokens.skipPast(';', 'END_TYPE');
      continue;
    }
    const members: { name: string; type: string; comment?: string }[] = [];
    for (;;) {
      const next = tokens.peek();
      if (!next || isOne(OPENERS, next)) {
        faults.push({
          line: next?.line ?? tokens.lastLine,
          found: `STRUCT ${name.text} is not closed`,
          expected: 'END_STRUCT',
        });
        break;
      }
      if (next.text.toUpperCase() === 'END_STRUCT') {
        tokens.next();
        if (tokens.peek()?.text === ';') tokens.next();
        break;
      }
      const declared = readDeclaration(tokens);
      if (!declared.ok) faults.push(declared.fault);
      else
        for (const one of declared.names)
          members.push({ name: one.name, type: declared.type, comment: declared.comment });
    }
    structures.push({ line: name.line, name: name.text, members });
  }
}

/** Declarations of these tags: globals first, then those of each program. The inverse of `readIecText`. */
export function writeIecText(list: TagTexts): string {
  const lines: string[] = [];
  for (const { name, members } of list.structures) {
    const own = members.map(
      (m) => `    ${m.name} : ${declaredType(m.type)};${m.comment ? ` ${commented(m.comment)}` : ''}`,
    );
    lines.push('TYPE', `  ${name} : STRUCT`, ...own, '  END_STRUCT;', 'END_TYPE', '');
  }
  const programs = [...new Set(list.tags.map((tag) => tag.says.program ?? ''))].sort();
  for (const program of programs) {
    if (program !== '') lines.push(`PROGRAM ${program}`);
    lines.push(program === '' ? 'VAR_GLOBAL' : 'VAR');
    for (const { name, says } of list.tags) {
      if ((says.program ?? '') !== program) continue;
      const at = says.place?.startsWith('%') ? ` AT ${says.place}` : '';
      const comment = says.comment ? ` ${commented(says.comment)}` : '';
      lines.push(`  ${name}${at} : ${declaredType(says.type || 'BOOL')};${comment}`);
    }
    lines.push('END_VAR');
    if (program !== '') lines.push('END_PROGRAM');
    lines.push('');
  }
  return lines.join('\n');
}

/** A text with marks of a comment in it stands behind a double slash, to the end of its line. */
const commented = (text: string): string =>
  /\(\*|\*\)/.test(text) ? `// ${text.replace(/\s+/g, ' ')}` : `(* ${text} *)`;

/** Declarations of IEC 61131-3 as text: told by the words that open and close them. */
export const IEC_TEXT: ListFormat = {
  name: 'IEC 61131-3 text',
  endings: ['st', 'iec', 'exp'],
  isText: true,
  recognise: (_, text) => /\b(VAR_GLOBAL|END_VAR|END_TYPE)\b/i.test(text.slice(0, 200_000)),
  read: (_, { text, progress }) => {
    const list = text.includes('\u0000')
      ? unread('null bytes', 'declarations are text')
      : read(readIecText(text, progress));
    return [{ name: '', content: { holds: 'tags', list } }];
  },
  write: (list) => ({ text: writeIecText(list), type: 'text/plain;charset=utf-8' }),
};
