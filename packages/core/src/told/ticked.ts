import type { Project } from '../model/project.js';
import type { Copy } from './copies.js';

/** Copies with their ids, and with the tick of each that is of the value that is so now. */
export function withTicks(project: Project, copies: readonly Omit<Copy, 'id' | 'tick'>[]): Copy[] {
  const ticks = new Map([...project.all('tick')].map((tick) => [tick.copy, tick]));
  return copies.map((copy) => {
    const id = [copy.cell.kind, copy.cell.id, ...copy.cell.path].join(' ');
    const tick = ticks.get(id);
    return { ...copy, id, tick: tick && tick.value === copy.truth ? tick : null };
  });
}
