import type { FileFault } from './tag-list.js';

export interface Token {
  kind: 'word' | 'address' | 'number' | 'text' | 'sign';
  text: string;
  line: number;
}

interface Comment {
  text: string;
  line: number;
  /** how many tokens stand before it */
  after: number;
}

const PARTS =
  /\s+|\(\*|\/\*|\/\/[^\n]*|\{[^}]*\}|%[A-Za-z]+[\d.*]*(?:\.\d+)*|[A-Za-z_\u00C0-\u024F][\w\u00C0-\u024F#.]*|\d[\w#]*(?:\.(?!\.)\d+)?|'(?:[^'$]|\$.)*'|"(?:[^"$]|\$.)*"|:=|\.\.|[^]/gy;

/** The words and signs of a text of IEC 61131-3, with its comments aside. Comments may stand in one another. */
export class IecTokens {
  readonly faults: FileFault[] = [];
  lastLine = 1;
  private readonly tokens: Token[] = [];
  private readonly comments: Comment[] = [];
  private at = 0;
  private nextComment = 0;

  constructor(text: string) {
    PARTS.lastIndex = 0;
    let line = 1;
    while (PARTS.lastIndex < text.length) {
      const start = PARTS.lastIndex;
      const part = PARTS.exec(text)![0];
      if (part === '(*' || part === '/*') {
        const end = endOfComment(text, start, part);
        if (end < 0) {
          this.faults.push({ line, found: 'a comment that is not closed', expected: part === '(*' ? '*)' : '*/' });
          break;
        }
        this.comment(text.slice(start + 2, end - 2), line);
        line += linesIn(text.slice(start, end));
        PARTS.lastIndex = end;
        continue;
      }
      if (part.startsWith('//')) this.comment(part.slice(2), line);
      else if (part.trim() !== '' && !part.startsWith('{')) this.tokens.push({ kind: kindOf(part), text: part, line });
      line += linesIn(part);
    }
    this.lastLine = line;
  }

  private comment(text: string, line: number): void {
    this.comments.push({ text: text.replace(/\s+/g, ' ').trim(), line, after: this.tokens.length });
  }

  peek(): Token | null {
    return this.tokens[this.at] ?? null;
  }

  next(): Token | null {
    return this.tokens[this.at++] ?? null;
  }

  /** Up to this sign, which is not taken. */
  skipTo(sign: string): void {
    while (this.at < this.tokens.length && this.tokens[this.at]!.text !== sign) this.at++;
  }

  /** Past this sign, or up to this word. */
  skipPast(sign: string, word: string): void {
    if (this.tokens[this.at - 1]?.text === sign) return;
    while (this.at < this.tokens.length && this.tokens[this.at]!.text.toUpperCase() !== word) {
      if (this.tokens[this.at++]!.text === sign) return;
    }
  }

  /** The comment that stands in a line of its own before the next token. */
  commentBefore(): string {
    const here = this.peek()?.line ?? 0;
    return this.takeComment((c) => c.after === this.at && c.line < here);
  }

  /** The comment behind a token in its line. */
  commentAfter(token: Token): string {
    return this.takeComment((c) => c.after === this.at && c.line === token.line);
  }

  private takeComment(fits: (comment: Comment) => boolean): string {
    while (this.nextComment < this.comments.length && this.comments[this.nextComment]!.after < this.at)
      this.nextComment++;
    let text = '';
    for (let i = this.nextComment; i < this.comments.length && this.comments[i]!.after === this.at; i++) {
      if (!fits(this.comments[i]!)) continue;
      text = this.comments[i]!.text;
      this.nextComment = i + 1;
    }
    return text;
  }
}

function kindOf(part: string): Token['kind'] {
  if (part.startsWith('%')) return 'address';
  if (/^[A-Za-z_\u00C0-\u024F]/.test(part)) return 'word';
  if (/^\d/.test(part)) return 'number';
  return part.startsWith("'") || part.startsWith('"') ? 'text' : 'sign';
}

function linesIn(text: string): number {
  let count = 0;
  for (let i = text.indexOf('\n'); i >= 0; i = text.indexOf('\n', i + 1)) count++;
  return count;
}

/** Just past the end of a comment that begins here, others within it counted; −1: it has none. */
function endOfComment(text: string, start: number, open: string): number {
  const close = open === '(*' ? '*)' : '*/';
  let depth = 0;
  for (let i = start; i < text.length; i++) {
    const two = text.slice(i, i + 2);
    if (two === open) {
      depth++;
      i++;
    } else if (two === close) {
      depth--;
      i++;
      if (depth === 0) return i + 1;
    }
  }
  return -1;
}
