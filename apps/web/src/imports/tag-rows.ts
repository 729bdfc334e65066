import { tagFieldText } from '@dialoga/core/fields';
import type { TagList } from '@dialoga/core/formats';
import { nameKey, type Project, type Tag } from '@dialoga/core/model';
import {
  BECOMES,
  plannedTag,
  rowContext,
  tagOfRow,
  type Becomes,
  type Chosen,
  type ImportPlan,
  type PlannedTag,
} from '@dialoga/core/tags';
import type { GridCell, GridColumn, GridRow } from '../grid/types';

export const IMPORT_COLUMNS: readonly GridColumn[] = [
  { id: 'line', title: 'Row', track: '56px', right: true },
  { id: 'take', title: 'Take', track: '60px' },
  { id: 'what', title: 'Action', track: '86px' },
  { id: 'name', title: 'Tag', names: true, track: 'minmax(150px, 1.2fr)' },
  { id: 'type', title: 'Type', track: '120px' },
  { id: 'place', title: 'Address, refers to', names: true, track: '130px' },
  { id: 'bound', title: 'Bound to', names: true, track: 'minmax(130px, 1fr)' },
  { id: 'why', title: 'Difference or reason', track: 'minmax(200px, 2fr)' },
];

/** How many rows become what, of those that are not left out; `aside` are those that are. */
function counts(list: TagList, plan: ImportPlan, without: ReadonlySet<number>) {
  const of: Record<Becomes, number> = { empty: 0, 'not taken': 0, added: 0, changed: 0, unchanged: 0 };
  let aside = 0;
  plan.becomes.forEach((code, i) => {
    const what = BECOMES[code]!;
    if (!without.has(list.lines[i]!)) of[what]++;
    else if (what === 'added' || what === 'changed') aside++;
  });
  return { of, aside };
}

/** `12 added, 4 changed, 2 dropped, 30 unchanged` of what was chosen. */
export function planWords(list: TagList, plan: ImportPlan, { without, drop }: Chosen): string {
  const { of, aside } = counts(list, plan, without);
  const refused = of['not taken'] + plan.faults.length;
  return [
    `${of.added} added`,
    `${of.changed} changed`,
    plan.gone.length > 0 ? `${drop ? plan.gone.length : 0} dropped` : '',
    `${of.unchanged} unchanged`,
    aside > 0 ? `${aside} left out` : '',
    refused > 0 ? `${refused} cannot be taken` : '',
  ]
    .filter((part) => part !== '')
    .join(', ');
}

/** What a row stands for in the order of the list: what touches something bound first, then what cannot be taken. */
function rankOf(what: Becomes, bound: boolean, problem: boolean): number {
  if (what === 'not taken') return 1;
  if (what === 'changed') return bound ? 0 : 3;
  return problem ? 2 : what === 'added' ? 4 : 5;
}
const RANKS = 6;
const NO_TAG = { id: '', order: 0, type: null, place: null };

/** What touches something bound comes first, then what cannot be taken, what goes, changes and comes; the rest last. */
export function importRows(
  project: Project,
  station: string,
  list: TagList,
  plan: ImportPlan,
  { without, drop }: Chosen,
  toggle: (line: number) => void,
): GridRow[] {
  const context = rowContext(project, station, list, plan.structures);
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
  const cellsOf = (planned: PlannedTag): GridCell[] => {
    const { line, name, what, bound, differs, problem } = planned;
    const out = without.has(line);
    const quiet = out || what === 'unchanged';
    const changes = what === 'added' || what === 'changed';
    const [known] = project.referrers('tag', nameKey(station, name));
    const base = project.get('tag', planned.known ?? known ?? '') ?? { ...NO_TAG, station, name };
    const tag = what === 'not taken' ? null : tagOfRow(context, planned, base);
    return [
      text(String(line), { right: true, muted: true }),
      text(changes ? (out ? 'no' : 'yes') : '', {
        ...(changes ? { action: { label: `${out ? 'Take' : 'Leave out'} ${name}`, run: () => toggle(line) } } : {}),
      }),
      text(out ? 'left out' : what, { muted: quiet }),
      text(name, { muted: quiet }),
      text(tag ? tagFieldText(project, tag, 'type') : '', { mono: true, muted: quiet }),
      text(tag ? places(tag) : '', { mono: true, muted: quiet }),
      text(bound.join(' · '), { differs: bound.length > 0 && !out }),
      text([...differs, problem].filter((t) => t !== null).join('; '), { differs: problem !== null }),
    ];
  };
  // Of a hundred thousand rows those on screen are worked out, when they are.
  const rowFor = (at: number): GridRow => {
    let cells: GridCell[] | null = null;
    return {
      id: `row ${list.lines[at]!}`,
      height: 22,
      get cells() {
        return (cells ??= cellsOf(plannedTag(list, plan, at)));
      },
    };
  };
  const ranked = Array.from({ length: RANKS }, (): GridRow[] => []);
  plan.becomes.forEach((code, at) => {
    const what = BECOMES[code]!;
    if (what === 'empty') return;
    const detail = plan.details.get(at);
    ranked[rankOf(what, (detail?.bound.length ?? 0) > 0, (detail?.problem ?? null) !== null)]!.push(rowFor(at));
  });
  const boundGone = gone.filter((_, i) => plan.gone[i]!.bound.length > 0);
  const otherGone = gone.filter((_, i) => plan.gone[i]!.bound.length === 0);
  const [touching = [], refused = [], ...rest] = ranked;
  return [...boundGone, ...touching, ...faults, ...refused, ...otherGone, ...rest.flat()];
}
