import type { Rule } from '@dialoga/core/check';

const FAMILIES: Record<string, string> = {
  ADR: 'Addresses',
  LIN: 'Lines, buses, radio',
  HWS: 'Hardware',
  SIZ: 'Sizes',
  POS: 'Positions',
  TYP: 'Types and order',
  DIR: 'Direction and right',
  NAM: 'Names',
  TIM: 'Time',
  CAP: 'Limits',
  ROU: 'Routes',
  DOC: 'Agreement',
};

const SEVERITY = { blocker: 'Blocker', doubt: 'Doubt', hint: 'Hint' } as const;
const plain = (text: string) => text.replace(/\[\[|\]\]/g, '');

const familyOf = ({ meta }: Rule): string => meta.code.split(' ')[0]!;

/** A page a family of rules, and a list of all; made from the rules' own facts. */
export function rulePages(rules: readonly Rule[]): Map<string, string> {
  const pages = new Map<string, string>();
  const without = rules.find((rule) => !(familyOf(rule) in FAMILIES));
  if (without) throw new Error(`${without.meta.code} is of no family that has a title here`);
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
      lines.push(...silentWhere(meta));
      if (fixes) lines.push('Has a ready fix where the remedy is certain.');
      lines.push('');
      for (const message of Object.values(meta.messages)) {
        lines.push(
          `- **${SEVERITY[message.severity]}** ${message.headline}`,
          ...message.says.map((s) => `  - ${plain(s)}`),
          `  - ${message.consequence} ${message.remedy}`,
          ...silentWhere(message).map((line) => `  - ${line}`),
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

/** What a rule, or one of its messages, yields to: a line, or none. */
function silentWhere({ yieldsTo = [], yieldsAtCell = [] }: Pick<Rule['meta'], 'yieldsTo' | 'yieldsAtCell'>): string[] {
  const all = [...new Set([...yieldsTo, ...yieldsAtCell])];
  return all.length > 0 ? [`Silent where the same thing is said by ${all.join(', ')}.`] : [];
}
