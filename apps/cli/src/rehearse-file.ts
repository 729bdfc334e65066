import { readProject, textOfProjectFile } from '@dialoga/core/entry';
import { laneName } from '@dialoga/core/lane';
import { inOrder, type Problem } from '@dialoga/core/model';
import { foldedReport, walkAll, type FoldedLanes, type LaneWalk, type Walked } from '@dialoga/core/rehearse';

export type RehearsedFile =
  | {
      ok: true;
      name: string;
      walked: Walked;
      lanes: { exchange: string; name: string; walk: LaneWalk }[];
      report: FoldedLanes[];
    }
  | { ok: false; problems: Problem[] };

/** Walks a project file, or one exchange of it by its name. */
export function rehearseFile(file: string, bytes: Uint8Array, exchange: string | null): RehearsedFile {
  const text = textOfProjectFile(bytes);
  if (!text.ok) return { ok: false, problems: [text.problem] };
  const read = readProject(text.text);
  if (!read.ok) return { ok: false, problems: read.problems };
  const { project } = read;
  const all = inOrder(project, 'exchange');
  const one = all.find(({ name }) => name.toLowerCase() === exchange?.toLowerCase());
  if (exchange !== null && !one) {
    const expected = `one of ${all.map(({ name }) => name).join(', ')}`;
    return { ok: false, problems: [{ where: file, found: `no exchange is called “${exchange}”`, expected }] };
  }
  const walked = walkAll(project, one ? { exchange: one.id } : {}, { by: '', at: '', revision: 0 });
  const lanes = walked.walks.map((walk) => {
    const lane = project.get('lane', walk.lane)!;
    return { exchange: project.get('exchange', lane.exchange)!.name, name: laneName(project, lane), walk };
  });
  const report = foldedReport(walked.walks, project, (lane) => laneName(project, project.get('lane', lane)!));
  return { ok: true, name: project.info.name, walked, lanes, report };
}
