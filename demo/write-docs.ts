import { mkdirSync, rmSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { RULES } from '@dialoga/core/check';
import { projectFileSchema } from '@dialoga/core/schema';
import { rulePages } from './rule-pages.js';

/** Writes what docs/ holds that is made from the code. */
const docs = join(dirname(fileURLToPath(import.meta.url)), '..', '..', 'docs');
rmSync(join(docs, 'rules'), { recursive: true, force: true });
mkdirSync(join(docs, 'rules'));
for (const [name, text] of rulePages(RULES)) writeFileSync(join(docs, 'rules', name), text);
writeFileSync(join(docs, 'project-file.schema.json'), `${JSON.stringify(projectFileSchema(), null, 2)}\n`);
