#!/usr/bin/env node
import { readFileSync } from 'node:fs';
import { checkFile } from './check-file.js';
import { asJson, asJunit, asText } from './report.js';

const USAGE = `npm run check -- FILE [FILE …] [--json | --junit] [--strict]
Checks project files. Ends with 1 where there are Blockers, 2 where a file cannot be read, else 0.
--strict: also with 1 where a lane cannot be compared.`;

function main(args: string[]): number {
  const formats = { '--json': asJson, '--junit': asJunit };
  const strict = args.includes('--strict');
  const options = args.filter((a) => a.startsWith('-') && a !== '--strict');
  const unknown = options.filter((o) => !(o in formats));
  const files = args.filter((a) => !a.startsWith('-'));
  if (unknown.length > 0 || files.length === 0 || options.length > 1) {
    console.error(unknown.length > 0 ? `Unknown option: ${unknown[0]}\n${USAGE}` : USAGE);
    return 2;
  }
  const format = formats[options[0] as keyof typeof formats] ?? asText;
  const results = files.map((file) => {
    try {
      return checkFile(file, readFileSync(file));
    } catch (error) {
      const found = error instanceof Error ? error.message : String(error);
      return { file, ok: false as const, problems: [{ where: file, found, expected: 'a file that can be read' }] };
    }
  });
  process.stdout.write(format(results));
  if (results.some((r) => !r.ok)) return 2;
  const bad = results.some((r) => r.ok && (r.tally.blocker > 0 || (strict && r.lanes.unchecked.length > 0)));
  return bad ? 1 : 0;
}

process.exitCode = main(process.argv.slice(2));
