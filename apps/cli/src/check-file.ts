import { CheckEngine, counting, inOrderOfWork, tallyOf, textOf, type Tally } from '@dialoga/core/check';
import type { Finding } from '@dialoga/core/finding';
import { laneName } from '@dialoga/core/lane';
import type { Problem } from '@dialoga/core/model';
import { readProject, textOfProjectFile } from '@dialoga/core/entry';
import { standingOfProject, type Standing } from './standing.js';

export interface CheckedFinding {
  finding: Finding;
  text: ReturnType<typeof textOf>;
}

/** A lane that cannot be compared, and why. */
export interface UncheckedLane {
  id: string;
  exchange: string;
  name: string;
  why: string;
}

export type CheckedFile =
  | {
      file: string;
      ok: true;
      name: string;
      findings: CheckedFinding[];
      tally: Tally;
      accepted: number;
      /** how many lanes there are, how many agree, and which of them cannot be compared */
      lanes: { all: number; agreed: number; unchecked: UncheckedLane[] };
      standing: Standing;
    }
  | { file: string; ok: false; problems: Problem[] };

/** The findings of one project file that count, or what is wrong with the file. */
export function checkFile(file: string, bytes: Uint8Array): CheckedFile {
  const text = textOfProjectFile(bytes);
  if (!text.ok) return { file, ok: false, problems: [text.problem] };
  const read = readProject(text.text);
  if (!read.ok) return { file, ok: false, problems: read.problems };
  const { findings: all, laneResults } = new CheckEngine(read.project);
  const found = inOrderOfWork(counting(all, read.project), read.project);
  return {
    file,
    ok: true,
    name: read.project.info.name,
    findings: found.map((finding) => ({ finding, text: textOf(finding) })),
    tally: tallyOf(found),
    accepted: all.size - found.length,
    lanes: {
      all: laneResults.size,
      agreed: [...laneResults.values()].filter(({ verdict }) => verdict === 'agreed').length,
      unchecked: [...laneResults].flatMap(([id, { verdict, unknown }]) => {
        const lane = verdict === 'unchecked' ? read.project.get('lane', id) : undefined;
        if (!lane) return [];
        const exchange = read.project.get('exchange', lane.exchange)?.name ?? '';
        return [{ id, exchange, name: laneName(read.project, lane), why: unknown ?? 'not known' }];
      }),
    },
    standing: standingOfProject(read.project),
  };
}
