import { read, unread, type Read } from '../text/read.js';

const DEEPEST = 60;
const MOST_ELEMENTS = 3_000_000;

/** Whether an XML text can be read without harm: no document type (and so no entities of its own), not too deep, not too many. */
export function xmlShape(text: string): Read<true> {
  if (text.includes('\u0000')) return unread('null bytes', 'XML is text');
  if (/<!DOCTYPE/i.test(text)) {
    return unread(
      'a document type is declared, and with it entities could be',
      'take out the line that begins with <!DOCTYPE',
    );
  }
  let depth = 0;
  let elements = 0;
  for (let at = text.indexOf('<'); at >= 0; at = text.indexOf('<', at + 1)) {
    const next = text[at + 1];
    if (text.startsWith('<!--', at)) {
      const end = text.indexOf('-->', at);
      if (end < 0) return unread(`line ${lineAt(text, at)}: a comment that is not closed`, '-->');
      at = end;
      continue;
    }
    if (next === '?' || next === '!') continue;
    if (next === '/') {
      depth--;
      continue;
    }
    const end = text.indexOf('>', at);
    if (end < 0) return unread(`line ${lineAt(text, at)}: an element that is not closed`, '>');
    if (text[end - 1] !== '/') depth++;
    if (depth > DEEPEST) {
      return unread(
        `line ${lineAt(text, at)}: elements ${depth} deep`,
        `no document of variables is deeper than ${DEEPEST}`,
      );
    }
    if (++elements > MOST_ELEMENTS) return unread(`more than ${MOST_ELEMENTS} elements`, 'import fewer tags at once');
    at = end;
  }
  return read(true);
}

function lineAt(text: string, at: number): number {
  return text.slice(0, at).split('\n').length;
}
