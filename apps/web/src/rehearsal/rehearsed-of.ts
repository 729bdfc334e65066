import { childrenOf, inOrder, type Exchange, type Lane, type Project } from '@dialoga/core/model';

/** How far an exchange is rehearsed. */
export interface RehearsedOf {
  exchange: Exchange;
  lanes: Lane[];
  rehearsed: number;
  /** of the lanes that are, the last that was walked */
  last: NonNullable<Lane['rehearsed']> | null;
}

/** Every exchange in which something moves, in order. */
export function rehearsedByExchange(project: Project, rehearsed: ReadonlySet<string>): RehearsedOf[] {
  return inOrder(project, 'exchange').flatMap((exchange) =>
    exchange.kind === 'service link' ? [] : [rehearsedOf(project, exchange, rehearsed)],
  );
}

export function rehearsedOf(project: Project, exchange: Exchange, rehearsed: ReadonlySet<string>): RehearsedOf {
  const lanes = childrenOf(project, 'lane', exchange.id);
  const standing = lanes.filter(({ id }) => rehearsed.has(id));
  const marks = standing.flatMap((lane) => lane.rehearsed ?? []);
  const last = marks.reduce<RehearsedOf['last']>((a, b) => (a === null || b.at > a.at ? b : a), null);
  return { exchange, lanes, rehearsed: standing.length, last };
}
