import {
  alternativesTo,
  broughtAlong,
  findRoutes,
  networkWords,
  toBeLoaded,
  type Route,
  type WantedHelper,
} from '@dialoga/core';
import { useMemo } from 'react';
import styled from 'styled-components';
import { useStateOf } from '../store/store';
import { Differs } from '../theme/parts';
import { colour, space } from '../theme/tokens';

const Notes = styled.dl`
  display: grid;
  grid-template-columns: 150px minmax(0, 1fr);
  gap: ${space[2]}px ${space[4]}px;
  margin: ${space[3]}px 0 0;
  line-height: 20px;
  dt {
    color: ${colour.ink2};
  }
  dd {
    margin: 0;
  }
  small {
    color: ${colour.ink2};
  }
`;

/** What comes along with a helper object, who has to be loaded because of it, and what would do instead. */
export function HelperNotes({ route, wanted }: { route: Route; wanted: WantedHelper }) {
  const project = useStateOf((s) => s.project.project)!;
  const name = (id: string) => project.get('station', id)?.name ?? '';
  const { brought, loaded, others } = useMemo(() => {
    const [way] = findRoutes(project, route, 1).found;
    return {
      brought: broughtAlong(project, wanted),
      loaded: way ? toBeLoaded(project, way) : [],
      others: alternativesTo(project, route, wanted),
    };
  }, [project, route, wanted]);
  return (
    <Notes aria-label={`About ${name(wanted.standsFor)}`}>
      <dt>comes along</dt>
      <dd>
        {brought.length === 0 && 'nothing else'}
        {brought.map(({ network, meets }, i) => (
          <span key={network.id}>
            {i > 0 && '; '}
            {networkWords(network)}
            {meets ? <Differs>, of which {networkWords(meets)} has addresses already</Differs> : ''}
          </span>
        ))}
        {brought.length > 0 && brought.every(({ meets }) => !meets) && (
          <small> · no address of it is known there yet</small>
        )}
      </dd>
      <dt>has to be loaded</dt>
      <dd>
        {loaded.length === 0
          ? `nobody: only the tool reads what is drawn in, even where it warns that ${name(wanted.station)} differs`
          : `${loaded.map(name).join(', ')}: a gateway is a setting of the device`}
      </dd>
      <dt>instead of it</dt>
      <dd>
        {others.map(({ what, when, missing }) => (
          <div key={what}>
            {what}: {when} {missing !== '' && <small>· not now: {missing}</small>}
          </div>
        ))}
      </dd>
    </Notes>
  );
}
