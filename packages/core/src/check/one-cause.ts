import { fewOf } from './few-of.js';
import type { Report } from './rule.js';

/** A report about one lane, and what tells its cause from others. */
export interface Caused {
  cause: string;
  report: Report;
}

/** Reports of lanes of an exchange, one for each cause: of several lanes `{lane}` names a few, and all cells are shown. */
export function oneForEachCause(exchange: string, all: Iterable<Caused>): Report[] {
  const groups = new Map<string, Report[]>();
  for (const { cause, report } of all) groups.set(cause, [...(groups.get(cause) ?? []), report]);
  return [...groups].map(([cause, reports]) => {
    const [first] = reports as [Report, ...Report[]];
    if (reports.length === 1) return first;
    const { lane: _, item: __, ...rest } = first;
    return {
      ...rest,
      lanes: reports.flatMap((report) => report.lane ?? []),
      cells: reports.flatMap((report) => report.cells),
      params: { ...first.params, lane: fewOf(reports.map((report) => report.params.lane ?? '')) },
      subjects: [exchange, cause],
    };
  });
}
