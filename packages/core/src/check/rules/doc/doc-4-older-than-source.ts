import { set } from '../../../change/make.js';
import { childrenOf } from '../../../model/order.js';
import type { Reader } from '../../../model/project.js';
import type { Station, TakenFrom } from '../../../model/station.js';
import type { Context, Report, Rule } from '../../rule.js';

export const olderThanSource: Rule = {
  meta: {
    code: 'DOC 4',
    title: 'What was taken over is as new as its source',
    source: 'common practice: a list goes on living where it came from',
    messages: {
      import: {
        severity: 'doubt',
        headline: '{a}: its tags come from {file}, saved {saved}; the source was changed {source}',
        says: ['{file}: saved [[{saved}]]', 'changed since, [[{source}]]'],
        consequence: 'Tags that came, went or changed since are missing here.',
        remedy: 'Import the newer file; what changed is shown first.',
      },
      partner: {
        severity: 'doubt',
        headline: '{a} was taken from revision {revision} of {project}, which is at {newest}',
        says: ['taken from revision [[{revision}]]', '{project} is at [[{newest}]]'],
        consequence: 'What the other side changed since is not known here.',
        remedy: 'Take it over again, and look at what changed.',
      },
    },
  },
  on: {
    *station(station, { reader, revisionElsewhere }) {
      yield* partner(station, revisionElsewhere);
      yield* lastImport(station, reader);
    },
  },
  fixes(finding, reader) {
    const station = finding.message === 'partner' ? reader.get('station', finding.about.id) : undefined;
    if (!station?.takenFrom) return [];
    const taken = { ...station.takenFrom, revision: finding.params.newest! };
    return [
      { label: `taken over at ${finding.params.newest}`, changes: [set('station', station, ['takenFrom'], taken)] },
    ];
  },
};

const about = ({ id, name }: Station): Pick<Report, 'label' | 'about' | 'parties'> => ({
  label: 'older than its source',
  about: { kind: 'station', id, name },
  parties: [{ station: id }, { station: id }],
});

function* partner(station: Station, revisionElsewhere: Context['revisionElsewhere']): Generator<Report> {
  const { takenFrom } = station;
  if (!takenFrom) return;
  const { project, revision } = takenFrom;
  const newest = newestOf(takenFrom, revisionElsewhere(project));
  if (newest === null || newest === revision) return;
  yield {
    ...about(station),
    message: 'partner',
    cells: [{ kind: 'station', id: station.id, path: ['takenFrom'] }],
    params: { a: station.name, project, revision, newest },
    subjects: [station.id],
  };
}

/** What was typed as the newest, or what is there beside this project, whichever is newer. */
function newestOf({ revision, newest }: TakenFrom, there: number | null): string | null {
  const number = (text: string) => (/^\d+$/.test(text.trim()) ? Number(text) : null);
  const known = number(newest || revision);
  if (there !== null && known !== null && there > known) return String(there);
  return newest || null;
}

function* lastImport(station: Station, reader: Reader): Generator<Report> {
  const last = childrenOf(reader, 'import', station.id).at(-1);
  const from = last?.saved ?? last?.at;
  if (!last?.source || !from || !(Date.parse(last.source) > Date.parse(from))) return;
  yield {
    ...about(station),
    message: 'import',
    cells: [{ kind: 'import', id: last.id, path: ['source'] }],
    params: { a: station.name, file: last.file, saved: from.slice(0, 10), source: last.source.slice(0, 10) },
    subjects: [last.id],
  };
}
