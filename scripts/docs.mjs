import { run, say } from './run.mjs';

/** Writes docs/rules and docs/project-file.schema.json anew from the rules and the model. */
await run('npx', ['tsc', '-b', 'demo'], { quiet: true });
await run(process.execPath, ['demo/dist/write-docs.js']);
say('Wrote docs/rules and docs/project-file.schema.json.');
