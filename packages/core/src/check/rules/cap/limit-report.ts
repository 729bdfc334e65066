import type { Reader } from '../../../model/project.js';
import type { Station } from '../../../model/station.js';
import type { Message, Report } from '../../rule.js';

/** Message of a rule that compares a count with a limit of the station's profile; what is counted is a parameter. */
export const limitMessage = (severity: Message['severity']): Message => ({
  severity,
  headline: '{a}: {count}, and its type takes {most}',
  says: ['[[{count}]]; at most {most}{source}'],
  consequence: 'Those beyond the limit are refused, and no message says which.',
  remedy: 'Reduce to {mostWords}, choose a larger type, or correct the limit of {profile}.',
});

/** A report where a station has more than its profile's limit of this key. `words` says a count of it. */
export function* overLimit(
  reader: Reader,
  station: Station,
  limit: string,
  count: number,
  words: (count: number) => string,
): Generator<Report> {
  const profile = station.profile ? reader.get('profile', station.profile) : undefined;
  const most = profile?.limits[limit];
  if (!profile || !most || count <= most.value) return;
  const source = most.source.trim();
  yield {
    message: 'over',
    label: limit.split('-')[0]!,
    about: { kind: 'station', id: station.id, name: station.name },
    parties: [{ station: station.id }],
    cells: [{ kind: 'station', id: station.id, path: ['profile'] }],
    params: {
      a: station.name,
      count: words(count),
      most: String(most.value),
      mostWords: words(most.value),
      source: source === '' ? '' : ` (${source})`,
      profile: profile.name,
    },
    subjects: [station.id],
  };
}
