import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import prettier from 'prettier';

const LIST = new URL('../apps/web/src/page/key-list.json', import.meta.url);

/** docs/keys.md, from the list that F1 shows. */
export async function keysPage() {
  const parts = Object.entries(JSON.parse(readFileSync(LIST, 'utf8')));
  const tables = parts.map(([title, keys]) => {
    const rows = keys.map(([key, does]) => `| ${key} | ${does} |`).join('\n');
    return `## ${title}\n\n| key | does |\n| --- | --- |\n${rows}`;
  });
  const text = `# Keys\n\nMade from the list that F1 shows on every screen.\n\n${tables.join('\n\n')}\n`;
  const style = await prettier.resolveConfig(fileURLToPath(LIST));
  return prettier.format(text, { ...style, parser: 'markdown' });
}
