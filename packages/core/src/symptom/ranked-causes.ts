import { SEVERITIES, type Finding } from '../finding/finding.js';
import type { Cause, Symptom } from './symptom.js';

/** A cause with what this project has of it. */
export interface RankedCause {
  cause: Cause;
  /** its place among the usual ones, from 0 */
  usual: number;
  /** what is found of it here, the most pressing first */
  findings: readonly Finding[];
}

export interface Circumstances {
  findings: Iterable<Finding>;
  /** of each finding that came up lately, by key: the larger, the later */
  since?: ReadonlyMap<string, number>;
  /** what the symptom shows at: a station, an exchange, a network, a lane */
  at?: ReadonlySet<string>;
}

/**
 * The causes of a symptom, likeliest first: what is found here at the place that shows it, then what is found elsewhere in this project, each
 * by how bad it is and then by what changed last; then the usual ones in their order.
 */
export function rankedCauses(symptom: Symptom, { findings, since, at }: Circumstances): RankedCause[] {
  const byCode = new Map<string, Finding[]>();
  for (const finding of findings) {
    const known = byCode.get(finding.code);
    if (known) known.push(finding);
    else byCode.set(finding.code, [finding]);
  }
  const isHere = (finding: Finding) => at !== undefined && at.size > 0 && touches(finding, at);
  const press = (finding: Finding): readonly number[] => [
    isHere(finding) ? 0 : 1,
    SEVERITIES.indexOf(finding.severity),
    -(since?.get(finding.key) ?? -1),
  ];
  const ranked = symptom.causes.map((cause, usual) => ({
    cause,
    usual,
    findings: cause.codes.flatMap((code) => byCode.get(code) ?? []).sort((a, b) => compared(press(a), press(b))),
  }));
  const rank = ({ findings: [first], usual }: RankedCause): readonly number[] =>
    first ? [...press(first), usual] : [2, 0, 0, usual];
  return ranked.sort((a, b) => compared(rank(a), rank(b)));
}

const compared = (a: readonly number[], b: readonly number[]): number => {
  const i = a.findIndex((value, n) => value !== b[n]);
  return i < 0 ? 0 : a[i]! - b[i]!;
};

function touches({ about, cells, parties, lane, lanes }: Finding, at: ReadonlySet<string>): boolean {
  return (
    at.has(about.id) ||
    parties.some(({ station, end }) => at.has(station) || (end !== undefined && at.has(end))) ||
    cells.some(({ id }) => at.has(id)) ||
    (lane !== undefined && at.has(lane)) ||
    (lanes ?? []).some((one) => at.has(one))
  );
}
