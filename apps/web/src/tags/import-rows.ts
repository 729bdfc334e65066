import { tagFieldText, type Chosen, type ImportPlan, type PlannedTag, type Project, type Tag } from '@dialoga/core';
import type { GridCell, GridColumn, GridRow } from '../grid/types';

export const IMPORT_COLUMNS: readonly GridColumn[] = [
  { id: 'line', title: 'Row', track: '56px', right: true },
  { id: 'take', title: 'Take', track: '60px' },
  { id: 'what', title: 'Becomes', track: '86px' },
  { id: 'name', title: 'Tag', names: true, track: 'minmax(150px, 1.2fr)' },
  { id: 'type', title: 'Type', track: '120px' },
  { id: 'place', title: 'Address, asks for', names: true, track: '130px' },
  { id: 'bound', title: 'Bound to', names: true, track: 'minmax(130px, 1fr)' },
  { id: 'why', title: 'What differs, or why not', track: 'minmax(200px, 2fr)' },
];

/** `12 added, 4 changed, 2 dropped, 30 unchanged` of what was chosen. */
export function planWords(plan: ImportPlan, { without, drop }: Chosen): string {
  const count = (what: PlannedTag['what']) =>
    plan.rows.filter((row) => row.what === what && !without.has(row.line)).length;
  const aside = plan.rows.filter((row) => row.tag && row.what !== 'unchanged' && without.has(row.line)).length;
  const refused = plan.rows.filter((row) => !row.tag).length + plan.faults.length;
  return [
    `${count('added')} added`,
    `${count('changed')} changed`,
    plan.gone.length > 0 ? `${drop ? plan.gone.length : 0} dropped` : '',
    `${count('unchanged')} unchanged`,
    aside > 0 ? `${aside} left out` : '',
    refused > 0 ? `${refused} cannot be taken` : '',
  ]
    .filter((part) => part !== '')
    .join(', ');
}

/** What touches something bound comes first, then what cannot be taken, what goes, changes and comes; the rest last. */
export function importRows(
  project: Project,
  plan: ImportPlan,
  { without, drop }: Chosen,
  toggle: (line: number) => void,
): GridRow[] {
  const rank = (row: PlannedTag) =>
    !row.tag
      ? 1
      : row.what === 'changed'
        ? row.bound.length > 0
          ? 0
          : 3
        : row.problem
          ? 2
          : row.what === 'added'
            ? 4
            : 5;
  const text = (value: string, more: Partial<GridCell> = {}): GridCell => ({ text: value, ...more });
  const places = (tag: Tag) =>
    [tagFieldText(project, tag, 'place'), tag.asks ?? ''].filter((t) => t !== '').join(' · ');
  const gone = plan.gone.map(({ tag, bound }): GridRow => ({
    id: `gone ${tag.id}`,
    height: 22,
    cells: [
      text(''),
      text(drop ? 'yes' : 'no', { muted: true }),
      text(drop ? 'dropped' : 'stays'),
      text(tag.name),
      text(tagFieldText(project, tag, 'type'), { mono: true }),
      text(places(tag), { mono: true }),
      text(bound.join(' · '), { differs: drop && bound.length > 0 }),
      text('the file no longer has it'),
    ],
  }));
  const faults = plan.faults.map(({ line, found, expected }, i): GridRow => ({
    id: `fault ${i}`,
    height: 22,
    cells: [
      text(String(line), { right: true }),
      text(''),
      text('not read'),
      text(''),
      text(''),
      text(''),
      text(''),
      text(`${found}; ${expected}`, { differs: true }),
    ],
  }));
  const rowFor = (row: PlannedTag): GridRow => {
    const out = without.has(row.line);
    const quiet = out || row.what === 'unchanged';
    const changes = row.tag !== null && row.what !== 'unchanged';
    return {
      id: `row ${row.line} ${row.name}`,
      height: 22,
      cells: [
        text(String(row.line), { right: true, muted: true }),
        text(changes ? (out ? 'no' : 'yes') : '', {
          ...(changes
            ? { action: { label: `${out ? 'Take' : 'Leave out'} ${row.name}`, run: () => toggle(row.line) } }
            : {}),
        }),
        text(out ? 'left out' : row.what, { muted: quiet }),
        text(row.name, { muted: quiet }),
        text(row.tag ? tagFieldText(project, row.tag, 'type') : '', { mono: true, muted: quiet }),
        text(row.tag ? places(row.tag) : '', { mono: true, muted: quiet }),
        text(row.bound.join(' · '), { differs: row.bound.length > 0 && !out }),
        text([...row.differs, row.problem].filter((t) => t !== null).join('; '), { differs: row.problem !== null }),
      ],
    };
  };
  const sorted = [...plan.rows].sort((a, b) => rank(a) - rank(b) || a.line - b.line);
  const boundGone = gone.filter((_, i) => plan.gone[i]!.bound.length > 0);
  const otherGone = gone.filter((_, i) => plan.gone[i]!.bound.length === 0);
  const first = sorted.filter((row) => rank(row) === 0).map(rowFor);
  return [...boundGone, ...first, ...faults, ...otherGone, ...sorted.filter((row) => rank(row) > 0).map(rowFor)];
}
