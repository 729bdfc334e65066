import { set } from '../change/make.js';
import type { Exchange, StartStep } from '../model/exchange.js';
import { childrenOf, orderAfter } from '../model/order.js';
import type { Project } from '../model/project.js';
import { changed, refused, type FieldEdit } from '../text/field-edit.js';

export type StepColumn = 'end' | 'does';

/** Typed text into one field of a step of a start sequence, which is made with the first. The end is named by its station. */
export function editStep(
  project: Project,
  exchange: Exchange,
  id: string,
  column: StepColumn,
  text: string,
): FieldEdit {
  const known = exchange.start?.[id];
  const step: StartStep = known ?? { order: orderAfter(Object.values(exchange.start ?? {})), end: null, does: '' };
  const store = (next: StartStep) => changed(set('exchange', exchange, ['start'], { ...exchange.start, [id]: next }));
  const clean = text.trim();
  if (column === 'does') return store({ ...step, does: clean });
  if (clean === '') return store({ ...step, end: null });
  const ends = childrenOf(project, 'end', exchange.id);
  const nameOf = (station: string) => project.get('station', station)?.name ?? '';
  const end = ends.find((e) => nameOf(e.station).toLowerCase() === clean.toLowerCase());
  if (end) return store({ ...step, end: end.id });
  const names = ends.map((e) => nameOf(e.station)).join(', ');
  return refused({ found: `“${clean}” is no end of this exchange`, expected: `its ends: ${names}` });
}

/** The changes that take a step out. */
export function dropStep(exchange: Exchange, id: string): FieldEdit {
  const rest = Object.fromEntries(Object.entries(exchange.start ?? {}).filter(([key]) => key !== id));
  return changed(set('exchange', exchange, ['start'], Object.keys(rest).length === 0 ? null : rest));
}
