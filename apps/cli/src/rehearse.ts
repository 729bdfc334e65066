#!/usr/bin/env node
import { readFileSync } from 'node:fs';
import { rehearseFile, type RehearsedFile } from './rehearse-file.js';
import { serveFile } from './serve-file.js';
import { walkAsJunit, walkAsText } from './walk-report.js';

const USAGE = `npm run rehearse -- FILE [--walk] [--exchange NAME] [--junit]
npm run rehearse -- FILE --serve
Walks every bit of every lane of a project on stand-ins, or those of one exchange. Ends with 1 where a lane does not come through
or cannot be walked, 2 where the file cannot be read or has no such exchange, else 0.
--serve: the plant runs, its stand-ins listen on loopback, and who stands where is printed; Ctrl+C ends it.`;

interface Asked {
  file: string;
  exchange: string | null;
  junit: boolean;
  serve: boolean;
}

/** What was asked for; a text says what is wrong with it. */
function askedOf(args: readonly string[]): Asked | string {
  const asked: Asked = { file: '', exchange: null, junit: false, serve: false };
  for (let i = 0; i < args.length; i++) {
    const arg = args[i]!;
    if (arg === '--walk') continue;
    else if (arg === '--junit') asked.junit = true;
    else if (arg === '--serve') asked.serve = true;
    else if (arg === '--exchange') {
      const name = args[++i];
      if (name === undefined) return '--exchange needs the name of an exchange';
      asked.exchange = name;
    } else if (arg.startsWith('-')) return `Unknown option: ${arg}`;
    else if (asked.file !== '') return `One file at a time: ${asked.file} or ${arg}`;
    else asked.file = arg;
  }
  return asked.file === '' ? 'No file is named' : asked;
}

async function main(args: string[]): Promise<number> {
  const asked = askedOf(args);
  if (typeof asked === 'string') {
    console.error(`${asked}\n${USAGE}`);
    return 2;
  }
  if (asked.serve) return serveFile(asked.file);
  let result: RehearsedFile;
  try {
    result = rehearseFile(asked.file, readFileSync(asked.file), asked.exchange);
  } catch (error) {
    const found = error instanceof Error ? error.message : String(error);
    result = { ok: false, problems: [{ where: asked.file, found, expected: 'a file that can be read' }] };
  }
  process.stdout.write((asked.junit ? walkAsJunit : walkAsText)(asked.file, result));
  if (!result.ok) return 2;
  return result.lanes.every(({ walk }) => walk.result === 'passed') ? 0 : 1;
}

process.exitCode = await main(process.argv.slice(2));
