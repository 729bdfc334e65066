import {
  CheckEngine,
  counting,
  inOrderOfWork,
  tallyOf,
  textOf,
  type Finding,
  type Problem,
  type Tally,
} from '@dialoga/core';
import { readProject, textOfProjectFile } from '@dialoga/core/entry';

export interface CheckedFinding {
  finding: Finding;
  text: ReturnType<typeof textOf>;
}

export type CheckedFile =
  | { file: string; ok: true; name: string; findings: CheckedFinding[]; tally: Tally; accepted: number }
  | { file: string; ok: false; problems: Problem[] };

/** The findings of one project file that count, or what is wrong with the file. */
export function checkFile(file: string, bytes: Uint8Array): CheckedFile {
  const text = textOfProjectFile(bytes);
  if (!text.ok) return { file, ok: false, problems: [text.problem] };
  const read = readProject(text.text);
  if (!read.ok) return { file, ok: false, problems: read.problems };
  const all = new CheckEngine(read.project).findings;
  const found = inOrderOfWork(counting(all, read.project), read.project);
  return {
    file,
    ok: true,
    name: read.project.info.name,
    findings: found.map((finding) => ({ finding, text: textOf(finding) })),
    tally: tallyOf(found),
    accepted: all.size - found.length,
  };
}
