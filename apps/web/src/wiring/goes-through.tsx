import type { Port } from '@dialoga/core/model';
import { goesThrough } from '@dialoga/core/route';
import { shownWord } from '@dialoga/core/text';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { useStateOf } from '../store/store';
import { SectionHead } from '../theme/parts';
import { LineList } from './line-list';

const many = (count: number, one: string) => `${count} ${one}${count === 1 ? '' : 's'}`;

/** What goes through a port: exchanges with their tags, and routes. Besides what is typed elsewhere, nothing else is affected. */
export function GoesThrough({ port, projectId }: { port: Port; projectId: string }) {
  const project = useStateOf((s) => s.project.project)!;
  const { exchanges, routes } = useMemo(() => goesThrough(project, port), [project, port]);
  const station = (id: string) => project.get('station', id)?.name ?? '';
  const counts = [many(exchanges.length, 'exchange'), many(routes.length, 'route')].join(', ');
  return (
    <>
      <SectionHead>
        <h2>Who is affected when it changes</h2>
        <p>{exchanges.length + routes.length === 0 ? 'nobody' : counts}</p>
      </SectionHead>
      <LineList $columns="minmax(0, 1fr) minmax(0, 1fr)">
        {exchanges.map(({ exchange, lanes, tags }) => (
          <li key={exchange.id}>
            <Link to={`/p/${projectId}/exchanges/${exchange.id}`}>{exchange.name}</Link>
            <small>
              {many(lanes, 'lane')}
              {tags > 0 && `, ${many(tags, 'tag')} of others`}
            </small>
          </li>
        ))}
        {routes.map(({ route, hop }) => (
          <li key={route.id}>
            <Link to={`/p/${projectId}/routes/${route.id}`}>
              {station(route.from)} → {station(route.to)}
            </Link>
            <small>
              {shownWord(route.traffic)}, hop {hop}
            </small>
          </li>
        ))}
      </LineList>
    </>
  );
}
