import type { Reader } from '../../../model/project.js';
import type { Station } from '../../../model/station.js';
import type { Message, Report } from '../../rule.js';

/** Messages and report of a rule that compares a count with a limit of the station's profile. `what` may be a parameter. */
export const limitMessages = (
  severity: Message['severity'],
  what: string,
  whatMost = what,
): Record<string, Message> => ({
  over: {
    severity,
    headline: `{a}: {count} ${what}, and its type takes {most}`,
    says: [`[[{count}]] ${what}; at most {most}{source}`],
    consequence: 'Those beyond the limit are refused, and it is not said which.',
    remedy: `Do with {most} ${whatMost}, choose a larger type, or correct the limit of {profile}.`,
  },
});

export function* overLimit(
  reader: Reader,
  station: Station,
  limit: string,
  count: number,
  params: Record<string, string> = {},
): Generator<Report> {
  const profile = station.profile ? reader.get('profile', station.profile) : undefined;
  const most = profile?.limits[limit];
  if (!profile || !most || count <= most.value) return;
  yield {
    message: 'over',
    label: limit,
    about: { kind: 'station', id: station.id, name: station.name },
    parties: [{ station: station.id }],
    cells: [{ kind: 'station', id: station.id, path: ['profile'] }],
    params: {
      a: station.name,
      count: String(count),
      most: String(most.value),
      source: most.source.trim() === '' ? '' : ` (${most.source.trim()})`,
      profile: profile.name,
      ...params,
    },
    subjects: [station.id],
  };
}
