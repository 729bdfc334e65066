import { apply } from '../change/apply.js';
import type { Change } from '../change/change.js';
import { set } from '../change/make.js';
import { addEnd } from '../exchange/add-end.js';
import { createExchange } from '../exchange/create-exchange.js';
import { exchangesByNames, type NamedExchange } from '../exchange/exchanges-by-names.js';
import { lanesMade } from '../exchange/made-lanes.js';
import { childrenOf } from '../model/order.js';
import type { Project } from '../model/project.js';
import { BINDINGS, ELEMENT_BITS, ON_RETURN, SINKS_ON_LOSS, SOURCE_ON_LOSS, TRANSFERS } from '../model/words.js';
import { END } from './end.js';
import { EXCHANGE } from './exchange.js';
import { editField } from './field.js';

/** An exchange that was made from a line. */
export interface LinedExchange {
  id: string;
  changes: Change[];
  /** what of the line was not taken, with the reason */
  unread: string[];
}

type Said = { of: 'exchange'; field: keyof typeof EXCHANGE.fields; text: string } | { of: 'ends' | 'answering'; field: keyof typeof END.fields; text: string };

/** Choices that are known by their first words: `hold the last value`, `wait for a release`, `by name`. */
const CHOICES = [
  ['transfer', TRANSFERS],
  ['binding', BINDINGS],
  ['sinks', SINKS_ON_LOSS],
  ['source', SOURCE_ON_LOSS],
  ['back', ON_RETURN],
] as const;

/** What a text behind the names says: `every 50 ms`, `input 101`, `32-bit elements`, `hold the last value`; null: nothing that is known. */
function wordsOf(text: string): Said | null {
  const [, time] = /^every\s+(.+)$/i.exec(text) ?? [];
  if (time) return { of: 'exchange', field: 'cadence', text: time };
  const [, timeout] = /^timeout\s+(.+)$/i.exec(text) ?? [];
  if (timeout) return { of: 'exchange', field: 'timeout', text: timeout };
  const [, instance = '', number] = /^(input|output|configuration)\s+(?:instance\s+)?(\S+)$/i.exec(text) ?? [];
  if (number) return { of: 'answering', field: instance.toLowerCase() as 'input', text: number };
  const [, bits] = /^(\d+)[\s-]?bits?\s+elements$/i.exec(text) ?? [];
  if (bits && ELEMENT_BITS.some((one) => String(one) === bits)) return { of: 'ends', field: 'elementBits', text: bits };
  const clean = text.toLowerCase();
  for (const [field, words] of CHOICES) {
    const found = words.find((word) => word.startsWith(clean) || word.startsWith(clean.replace(/\b(\w+)s\b/, '$1')));
    if (found) return { of: 'exchange', field, text: found };
  }
  return null;
}

/**
 * An exchange in one line: `CutterCtl → BakeCtl`, with its kind, its protocol and what else is known of it behind the names:
 * `CutterCtl → BakeCtl or SawCtl, cyclic, every 50 ms, input 101, output 102, 32-bit elements, hold the last value`. Partners with
 * *or* between them are chosen at run time. Instances are those of the end that answers, which declares them. Null where the
 * line does not name two stations.
 */
export function exchangeFromLine(project: Project, text: string, newId: () => string): LinedExchange | null {
  const [named] = exchangesByNames(project, text);
  return named ? exchangeAsNamed(project, named, newId) : null;
}

/** The same, of one that was chosen. */
export function exchangeAsNamed(project: Project, named: NamedExchange, newId: () => string): LinedExchange {
  const { id, changes } = createExchange(project, named.wish, newId);
  const unread: string[] = [];
  let now = project;
  const make = (more: readonly Change[]) => {
    const applied = apply(now, { id: 'line', label: '', changes: more });
    if (applied.ok) now = now.with(applied.entities);
  };
  const take = (more: readonly Change[]) => {
    changes.push(...more);
    make(more);
  };
  make(changes);
  const ends = () => childrenOf(now, 'end', id);
  const { calling } = ends().find(({ station }) => station === named.partner)!;
  for (const station of named.others) {
    const added = addEnd(now, id, station, newId);
    take(added.changes);
    const end = now.get('end', added.id)!;
    if (end.calling !== calling) take([set('end', end, ['calling'], calling)]);
  }
  if (named.others.length > 0) take(lanesMade(now, now.get('exchange', id)!, newId)?.changes ?? []);
  if (named.permitted)
    take(
      ends()
        .slice(1)
        .map((end) => set('end', end, ['permitted'], true)),
    );
  for (const text of named.more) {
    const said = wordsOf(text);
    if (!said) {
      unread.push(`“${text}” is no kind of exchange, protocol or setting of one`);
      continue;
    }
    const edit = () => {
      if (said.of === 'exchange') return [editField(EXCHANGE, said.field, now.get('exchange', id)!, said.text, { project: now, newId })];
      const meant = ends().filter(({ calling }, i) => said.of === 'ends' || calling === 'listens' || (calling === null && i > 0));
      return meant.map((end) => editField(END, said.field, end, said.text, { project: now, newId }));
    };
    for (const { changes: more, problem } of edit()) {
      if (problem !== null) unread.push(problem);
      take(more);
    }
  }
  return { id, changes, unread };
}
