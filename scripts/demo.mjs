import { run, say } from './run.mjs';

/** Writes the demo's project files and lists anew. */
await run('npx', ['tsc', '-b', 'demo'], { quiet: true });
await run(process.execPath, ['demo/dist/write.js']);
say('Wrote demo/.');
