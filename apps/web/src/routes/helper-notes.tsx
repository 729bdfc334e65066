import { set } from '@dialoga/core/change';
import type { Presence, Route } from '@dialoga/core/model';
import {
  alternativesTo,
  broughtAlong,
  findRoutes,
  networkWords,
  toBeLoaded,
  type WantedHelper,
} from '@dialoga/core/route';
import { useMemo } from 'react';
import styled from 'styled-components';
import { useEdits } from '../store/use-edits';
import { useStateOf } from '../store/store';
import { BoxButton, Differs } from '../theme/parts';
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

const STEPS: readonly { until: Presence; does: (wanted: WantedHelper, name: (id: string) => string) => string }[] = [
  {
    until: 'found',
    does: ({ station, standsFor, drawnAs, address }, name) =>
      `add ${name(standsFor)} to the project of ${name(station)}, as a ${drawnAs} at ${address}`,
  },
  { until: 'removed', does: ({ standsFor }, name) => `do the work, then remove ${name(standsFor)} again` },
];
/** By how it stands: which step is next, what it then is, and what the button says. */
const NEXT: Partial<Record<Presence, readonly [number, Presence, string]>> = {
  planned: [0, 'found', 'It is added'],
  found: [1, 'removed', 'It is removed'],
};

const stepWords = (step: number, presence: Presence | null): string => {
  const done = presence === 'removed' ? 2 : presence === 'found' ? 1 : 0;
  return presence !== null && step < done ? '— done ' : '';
};

/** What comes along with a helper object, who has to be loaded because of it, and what would do instead. */
export function HelperNotes({ route, wanted }: { route: Route; wanted: WantedHelper }) {
  const project = useStateOf((s) => s.project.project)!;
  const commit = useEdits();
  const name = (id: string) => project.get('station', id)?.name ?? '';
  const { brought, loaded, others } = useMemo(() => {
    const [way] = findRoutes(project, route, 1).found;
    return {
      brought: broughtAlong(project, wanted),
      loaded: way ? toBeLoaded(project, way) : [],
      others: alternativesTo(project, route, wanted),
    };
  }, [project, route, wanted]);
  const helper = wanted.known;
  const presence = helper?.presence ?? null;
  const next = presence === null ? undefined : NEXT[presence];
  const take = (then: Presence) =>
    helper &&
    commit(`${name(wanted.standsFor)} is ${then}`, [
      { changes: [set('helper', helper, ['presence'], then)], problem: null },
    ]);
  return (
    <Notes aria-label={`About ${name(wanted.standsFor)}`}>
      <dt>step by step</dt>
      <dd>
        {STEPS.map(({ until, does }, i) => (
          <div key={until}>
            {i + 1}. {does(wanted, name)} {stepWords(i, presence)}
            {next?.[0] === i && <BoxButton onPress={() => take(next[1])}>{next[2]}</BoxButton>}
          </div>
        ))}
      </dd>
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
          ? `No station needs loading: only the tool reads what is added, even where it warns that ${name(wanted.station)} differs`
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
