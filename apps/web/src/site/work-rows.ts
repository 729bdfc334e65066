import type { PlacedStep } from '@dialoga/core/work';
import type { GridRow } from '../grid/types';
import { formatWhenShort } from '../words/when';

const MOST_AFTER = 3;

/** `9, 12 · the load stops it` */
export function afterWords({ after }: PlacedStep, numbers: ReadonlyMap<string, number>): string {
  if (after.length === 0) return '';
  const first = after.slice(0, MOST_AFTER).map(({ key }) => numbers.get(key));
  return `${first.join(', ')}${after.length > MOST_AFTER ? ' …' : ''} · ${after[0]!.why}`;
}

/** Who did it and when, or who is to do it. */
export function byWords({ state, record, who }: PlacedStep): string {
  const said = record ? `${formatWhenShort(record.at)}, ${record.by || 'not named'}` : '';
  if (state === 'open') return who;
  if (state === 'done') return record ? said : 'in force already';
  return state === 'changed since' ? `changed since ${said}` : `${state} ${said}`;
}

/** One row a step; in layers, above each what can be done at the same time. */
export function workRows(steps: readonly PlacedStep[], all: readonly PlacedStep[], layers: boolean): GridRow[] {
  const numbers = new Map(all.map(({ key, number }) => [key, number]));
  const row = (step: PlacedStep): GridRow => {
    const settled = step.state === 'done' || step.state === 'skipped';
    return {
      id: step.key,
      height: 26,
      cells: [
        { text: String(step.number), mono: true, right: true, muted: settled },
        { text: step.effect === '' ? step.what : `${step.what}: ${step.effect}`, muted: settled },
        { text: afterWords(step, numbers), muted: true },
        { text: byWords(step), muted: settled, differs: step.state === 'failed' || step.state === 'changed since' },
      ],
    };
  };
  if (!layers) return steps.map(row);
  const byLayer = new Map<number, PlacedStep[]>();
  for (const step of steps) byLayer.set(step.layer, [...(byLayer.get(step.layer) ?? []), step]);
  return [...byLayer]
    .sort(([a], [b]) => a - b)
    .flatMap(([layer, own]) => [
      {
        id: `layer ${layer}`,
        height: 28,
        tone: 'difference' as const,
        cells: [{ text: layerWords(layer, own), through: 3 }, null, null, null],
      },
      ...own.map(row),
    ]);
}

function layerWords(layer: number, steps: readonly PlacedStep[]): string {
  const people = new Set(steps.map(({ who }) => who).filter((who) => who !== ''));
  const by = people.size > 0 ? `, by ${[...people].join(', ')}` : '';
  return steps.length === 1
    ? `Layer ${layer}: one step${by}`
    : `Layer ${layer}: ${steps.length} steps that wait for none of each other${by}`;
}
