import type { Rule } from '@dialoga/core';

const FAMILIES: Record<string, string> = {
  ADR: 'Addresses',
  LIN: 'Lines, buses, radio',
  HWS: 'Hardware',
  SIZ: 'Sizes',
  POS: 'Positions',
  TYP: 'Types and order',
  DIR: 'Direction and right',
  NAM: 'Names',
  CAP: 'Limits',
  DOC: 'Agreement',
};

const SEVERITY = { blocker: 'Blocker', doubt: 'Doubt', hint: 'Hint' } as const;
const plain = (text: string) => text.replace(/\[\[|\]\]/g, '');

/** A page a family of rules, and a list of all; made from the rules' own facts. */
export function rulePages(rules: readonly Rule[]): Map<string, string> {
  const pages = new Map<string, string>();
  const index = ['# Rules', '', 'Made from the rules themselves by `npm run docs`.', ''];
  for (const [family, title] of Object.entries(FAMILIES)) {
    const own = rules
      .filter((r) => r.meta.code.startsWith(`${family} `))
      .sort((a, b) => a.meta.code.localeCompare(b.meta.code, 'en', { numeric: true }));
    const lines = [`# ${family} · ${title}`, ''];
    index.push(`## [${title}](${family.toLowerCase()}.md)`, '');
    for (const { meta, fixes } of own) {
      index.push(`- **${meta.code}** ${meta.title}`);
      lines.push(`## ${meta.code} · ${meta.title}`, '', `Source: ${meta.source}.`);
      if (meta.yieldsTo) lines.push(`Silent where the same thing is said by ${meta.yieldsTo.join(', ')}.`);
      if (fixes) lines.push('Has a ready fix where the remedy is certain.');
      lines.push('');
      for (const message of Object.values(meta.messages)) {
        lines.push(
          `- **${SEVERITY[message.severity]}** ${message.headline}`,
          ...message.says.map((s) => `  - ${plain(s)}`),
          `  - ${message.consequence} ${message.remedy}`,
        );
      }
      lines.push('');
    }
    index.push('');
    pages.set(`${family.toLowerCase()}.md`, `${lines.join('\n').trimEnd()}\n`);
  }
  pages.set('README.md', `${index.join('\n').trimEnd()}\n`);
  return pages;
}
