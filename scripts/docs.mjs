import { writeFileSync } from 'node:fs';
import { keysPage } from './keys-page.mjs';
import { run, say } from './run.mjs';

/** Writes docs/rules, docs/project-file.schema.json and docs/keys.md anew, from the rules, the model and the list of keys. */
await run('npx', ['tsc', '-b', 'demo'], { quiet: true });
await run(process.execPath, ['demo/dist/write-docs.js']);
writeFileSync(new URL('../docs/keys.md', import.meta.url), await keysPage());
say('Wrote docs/rules, docs/project-file.schema.json and docs/keys.md.');
