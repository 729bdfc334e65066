import { childrenOf, type Project, type Route } from '@dialoga/core/model';
import { trafficOf } from '@dialoga/core/route';

/** The address at which a way is asked for. */
export function askPath(project: string, asked: Partial<Pick<Route, 'from' | 'to' | 'traffic'>>): string {
  const params = new URLSearchParams();
  if (asked.from) params.set('from', asked.from);
  if (asked.to) params.set('to', asked.to);
  if (asked.traffic) params.set('for', asked.traffic);
  return `/p/${project}/routes/ask?${params}`;
}

/** The way that is meant on a page: to the station that it shows, or from the caller of the exchange that it shows. */
export function askFrom(project: Project, address: string, page: string): string {
  const [, kind, id = ''] = /\/(stations|exchanges|tags)\/([^/]+)/.exec(page) ?? [];
  const exchange = kind === 'exchanges' ? project.get('exchange', id) : undefined;
  if (exchange) {
    const ends = childrenOf(project, 'end', exchange.id);
    const from = ends.find((end) => end.calling === 'calls') ?? ends[0];
    const to = ends.find((end) => end.station !== from?.station);
    return askPath(address, { from: from?.station, to: to?.station, traffic: trafficOf(exchange) });
  }
  return kind && project.get('station', id) ? askPath(address, { to: id }) : `/p/${address}/routes/ask`;
}
