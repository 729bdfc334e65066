import { mkdirSync } from 'node:fs';
import type { LoggerService } from '@nestjs/common';
import { pino, type Logger } from 'pino';
import { createStream } from 'rotating-file-stream';
import { codeOf, placesOf } from './said-of-errors.js';

const FILE = 'server.log';
const LARGEST = '5M';
const MOST_FILES = 4;

export interface Log {
  log: Logger;
  /** resolves when everything is written */
  close: () => Promise<void>;
}

/** Lines of JSON to the output, or to files in a folder of its own, of which there are a few and none grows for ever. */
export function openLog(level: string, folder: string | null): Log {
  if (folder === null) return { log: pino({ level }), close: () => Promise.resolve() };
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const file = createStream(FILE, { path: folder, size: LARGEST, maxFiles: MOST_FILES, mode: 0o600 });
  // A disk that is full ends no server: the lines are lost, and health says why.
  file.on('error', () => undefined);
  return { log: pino({ level }, file), close: () => new Promise((resolve) => file.end(() => resolve())) };
}

/** What may be said of an error: its code and where it happened. Its message may quote what people typed, or a statement. */
export const described = (error: unknown) => ({
  type: error instanceof Error ? error.constructor.name : typeof error,
  code: codeOf(error),
  at: placesOf(error),
});

/** What the framework says of itself, in the same log and as briefly. */
export class FrameworkLog implements LoggerService {
  constructor(private readonly logger: Logger) {}
  log(): void {}
  warn(message: unknown, context?: unknown): void {
    this.logger.warn({ context: named(context) }, firstLine(message));
  }
  error(message: unknown, ...more: unknown[]): void {
    this.logger.error({ context: named(more.at(-1)) }, firstLine(message));
  }
}

const named = (context: unknown) => (typeof context === 'string' ? context.slice(0, 60) : undefined);

function firstLine(message: unknown): string {
  if (typeof message !== 'string') return `${described(message).type} ${described(message).code ?? ''}`.trim();
  return message.split('\n')[0]!.slice(0, 120);
}
