import { lanesThatMove, standingByExchange } from '@dialoga/core/overview';
import { useMemo } from 'react';
import { useStateOf } from '../store/store';

/** How far lanes are: all of them, those of an exchange in words, and the share of some. */
export function useStandings() {
  const project = useStateOf((s) => s.project.project)!;
  const rehearsed = useStateOf((s) => s.findings.rehearsed);
  const observed = useStateOf((s) => s.findings.observed);
  return useMemo(() => {
    const byExchange = new Map(
      standingByExchange(project, rehearsed, observed).map(({ exchange, count }) => [exchange, count]),
    );
    const share = (lanes: readonly { lane: string }[], of: ReadonlySet<string>) =>
      lanes.length === 0 ? 0 : lanes.filter(({ lane }) => of.has(lane)).length / lanes.length;
    return {
      all: { planned: lanesThatMove(project), rehearsed: rehearsed.size, observed: observed.size },
      /** `12 rehearsed, 3 observed` */
      of: (exchange: string): string => {
        const count = byExchange.get(exchange);
        if (!count || count.rehearsed + count.observed === 0) return '';
        return `${count.rehearsed} rehearsed, ${count.observed} observed`;
      },
      share: (lanes: readonly { lane: string }[]) => ({
        rehearsed: share(lanes, rehearsed),
        observed: share(lanes, observed),
      }),
      lane: (lane: string) => (observed.has(lane) ? 'observed' : rehearsed.has(lane) ? 'rehearsed' : 'planned'),
    };
  }, [project, rehearsed, observed]);
}
