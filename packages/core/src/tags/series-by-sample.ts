import type { Change } from '../change/change.js';
import { apply } from '../change/apply.js';
import { readTagContext, readTagField } from '../fields/tag-field.js';
import { childrenOf, orderAfter } from '../model/order.js';
import type { Project } from '../model/project.js';
import type { TagSeries } from '../model/tag-series.js';
import { planSeries, seriesChanges } from './series-plan.js';

const MOST = 100_000;

/** A sample name and a count: `Door_01 × 20`, with a type and an address behind it where they are known. */
export interface Sample {
  name: string;
  count: number;
  rest: readonly string[];
}

/** Null where a text is none: a name that has `x` in it is a name. */
export function readSample(text: string): Sample | null {
  const [first = '', ...rest] = text.split(/[,;\t]/).map((part) => part.trim());
  const at = Math.max(first.lastIndexOf('×'), first.lastIndexOf(' * '), first.lastIndexOf(' x '));
  const count = at > 0 ? first.slice(at + 1).replace(/^[*x]?\s*/, '') : '';
  const name = first.slice(0, Math.max(0, at)).trim();
  if (!/^\d{1,6}$/.test(count) || !/\d/.test(name) || Number(count) < 1 || Number(count) > MOST) return null;
  return { name, count: Number(count), rest: rest.filter((part) => part !== '') };
}

/** The tags that samples give, one series each: names that count on, and addresses that follow. */
export function seriesBySample(
  project: Project,
  station: string,
  samples: readonly Sample[],
  newId: () => string,
): { changes: Change[]; made: number; problems: string[] } {
  const changes: Change[] = [];
  const problems: string[] = [];
  let now = project;
  let made = 0;
  for (const { name, count, rest } of samples) {
    const context = readTagContext(now, station);
    const order = orderAfter(childrenOf(now, 'series', station));
    let series: TagSeries = {
      id: newId(),
      order,
      station,
      sample: name,
      count,
      type: null,
      place: null,
      access: 'read',
    };
    for (const text of rest) {
      const [type, place] = [readTagField('type', text, context), readTagField('place', text, context)];
      if (type.problem === null) series = { ...series, type: type.value as TagSeries['type'] };
      else if (place.problem === null) series = { ...series, place: place.value as TagSeries['place'] };
      else problems.push(`${name}: ${type.problem}`);
    }
    const plan = planSeries(now, series);
    const taken = plan.tags.filter((tag) => tag.taken);
    if (taken.length > 0) problems.push(`${name}: ${taken.length} of its names are taken by other tags and left out`);
    const step = seriesChanges(now, series, plan, newId);
    const applied = apply(now, { id: 'series', label: '', changes: step });
    if (!applied.ok) continue;
    changes.push(...step);
    now = now.with(applied.entities);
    made += plan.tags.length - taken.length;
  }
  return { changes, made, problems };
}
