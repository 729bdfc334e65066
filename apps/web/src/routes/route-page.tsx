import { put, set } from '@dialoga/core/change';
import { inOrder, orderAfter, TRAFFICS, type Project, type Route, type Traffic } from '@dialoga/core/model';
import {
  encodedPath,
  findRoutes,
  hexOf,
  judgeText,
  portsOf,
  routeFormOf,
  routeText,
  throughWords,
  wouldMakeOne,
  type RouteHop,
} from '@dialoga/core/route';
import { shownWord } from '@dialoga/core/text';
import { useMemo, useState } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import styled from 'styled-components';
import { Tick } from '../forms/tick';
import { Choice } from '../forms/choice';
import { NothingHere } from '../page/nothing-here';
import { useEdits } from '../store/use-edits';
import { newId } from '../api/new-id';
import { useStateOf } from '../store/store';
import { BoxButton, Code, Empty, PageTitle, Scroll, Section, SectionHead } from '../theme/parts';
import { colour, size, space } from '../theme/tokens';
import { HelpersGrid } from './helpers-grid';
import { HopsGrid } from './hops-grid';
import { TextsGrid } from './texts-grid';
import { WayPicture } from './way-picture';

const Asked = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: ${space[2]}px ${space[5]}px;
  padding: ${space[3]}px ${space[4]}px;
  border-bottom: 1px solid ${colour.hairline};
  .label {
    color: ${colour.ink2};
    font-size: ${size.data}px;
  }
`;

/** What is missing, said as what it takes. */
const Missing = styled.ul`
  margin: ${space[2]}px 0 ${space[3]}px;
  padding-left: ${space[5]}px;
  line-height: 20px;
  &::before {
    content: 'it takes';
    margin-left: -${space[5]}px;
    color: ${colour.ink2};
  }
`;

const Written = styled.div`
  padding-bottom: ${space[4]}px;
  line-height: 22px;
`;

const Others = styled.ol`
  margin: 0;
  padding-left: ${space[6]}px;
`;

/** A route that is kept: its way hop by hop, its texts, and what has to be drawn in for it. */
export function RoutePage() {
  const { project: address = '', route: id = '' } = useParams();
  const project = useStateOf((s) => s.project.project)!;
  const commit = useEdits();
  const route = project.get('route', id);
  if (!route) {
    return <NothingHere what="There is no such route." back={{ to: `/p/${address}/routes`, label: 'All routes' }} />;
  }
  const change = (next: Partial<Route>) => {
    const changes = Object.entries(next).map(([field, value]) => set('route', route, [field], value));
    commit('Edit route', [{ changes, problem: null }]);
  };
  return <Way route={route} kept onChange={change} />;
}

/** A way that is only asked for; the address says from where to where. */
export function AskPage() {
  const { project: address = '' } = useParams();
  const project = useStateOf((s) => s.project.project)!;
  const [search, setSearch] = useSearchParams();
  const navigate = useNavigate();
  const commit = useEdits();
  const stations = inOrder(project, 'station');
  const engineers = stations.find((s) => s.roles.includes('workstation')) ?? stations[0];
  const named = (key: string) => stations.find((s) => s.id === search.get(key))?.id;
  const traffic = TRAFFICS.find((t) => t === search.get('for')) ?? 'requests';
  const from = named('from') ?? engineers?.id ?? '';
  const to = named('to') ?? stations.find((s) => s.id !== from)?.id ?? '';
  const route: Route = { id: '', order: 0, from, to, port: search.get('port'), traffic, stated: '' };
  const change = (next: Partial<Route>) => {
    const params = new URLSearchParams(search);
    const keys = { from: 'from', to: 'to', port: 'port', traffic: 'for' } as const;
    for (const [field, key] of Object.entries(keys) as [keyof typeof keys, string][]) {
      if (!(field in next)) continue;
      if (next[field]) params.set(key, next[field]);
      else params.delete(key);
    }
    if ('from' in next) params.delete('port');
    setSearch(params, { replace: true });
  };
  const keep = () => {
    const id = newId();
    const kept = { ...route, id, order: orderAfter(inOrder(project, 'route')) };
    commit('New route', [{ changes: [put('route', kept)], problem: null }]);
    void navigate(`/p/${address}/routes/${id}`);
  };
  return <Way route={route} kept={false} onChange={change} onKeep={keep} />;
}

interface WayProps {
  route: Route;
  kept: boolean;
  onChange: (next: Partial<Route>) => void;
  onKeep?: () => void;
}

function Way({ route, kept, onChange, onKeep }: WayProps) {
  const { project: address = '' } = useParams();
  const project = useStateOf((s) => s.project.project)!;
  const [each, setEach] = useState(false);
  const { found, nearest, why } = useMemo(() => findRoutes(project, route), [project, route]);
  const name = (id: string) => project.get('station', id)?.name ?? '';
  const best = found[0] ?? null;
  const shown = best ?? nearest;
  const form = routeFormOf(project, route.from);
  const text = best ? routeText(best.hops, form) : '';
  const judged = judgeText(project, route, route.stated);
  return (
    <>
      <PageTitle>
        <h1>
          {name(route.from)} → {name(route.to)}
        </h1>
        <p>
          {shownWord(route.traffic)}: {best ? throughWords(project, best) : 'no way'}
        </p>
        <Link to={`/p/${address}/routes`} style={{ marginLeft: 'auto', whiteSpace: 'nowrap' }}>
          All routes
        </Link>
      </PageTitle>
      <Asking project={project} route={route} onChange={onChange} onKeep={onKeep} />
      <Scroll>
        <Section aria-label="Hop by hop">
          <SectionHead>
            <h2>{best ? 'Hop by hop' : 'Closest partial route'}</h2>
            <p>{best ? 'what must be true at each hop, and whether it is' : why}</p>
            <span style={{ marginLeft: 'auto' }}>
              <Tick isSelected={each} onChange={setEach}>
                each condition
              </Tick>
            </span>
          </SectionHead>
          {shown && <WayPicture hops={shown.hops} />}
          {nearest && (
            <Missing aria-label="What would complete the route">
              {wouldMakeOne(project, nearest, route.traffic).map((one, i) => (
                <li key={i}>{one}</li>
              ))}
            </Missing>
          )}
          {shown ? (
            <HopsGrid hops={shown.hops} faults={judged.faults} each={each} />
          ) : (
            <Empty>Nothing leads there: {why}. Attach the stations to networks under Wiring first.</Empty>
          )}
        </Section>
        {(best || kept) && (
          <Section aria-label="What to type">
            <SectionHead>
              <h2>What to type at {name(route.from)}</h2>
              <p>as its type writes routes</p>
            </SectionHead>
            {best && <WrittenWay hops={best.hops} text={text} />}
            {kept && <TextsGrid route={route} right={text} />}
          </Section>
        )}
        {kept && <HelpersGrid route={route} />}
        {found.length > 1 && (
          <Section aria-label="Other ways">
            <SectionHead>
              <h2>Other ways</h2>
              <p>the next best, in order</p>
            </SectionHead>
            <Others start={2}>
              {found.slice(1).map((way, i) => (
                <li key={i}>
                  {throughWords(project, way)}: <Code>{routeText(way.hops, form)}</Code>
                </li>
              ))}
            </Others>
          </Section>
        )}
      </Scroll>
    </>
  );
}

/** The text of a way, and its bytes where all its links have them. */
function WrittenWay({ hops, text }: { hops: readonly RouteHop[]; text: string }) {
  const project = useStateOf((s) => s.project.project)!;
  const bytes = encodedPath(project, hops);
  return (
    <Written>
      <p>
        <Code>{text}</Code>
      </p>
      <p>
        {bytes.ok ? (
          <>
            as bytes of the Common Industrial Protocol: <Code>{hexOf(bytes.value)}</Code>
          </>
        ) : (
          `no encoded path: ${bytes.found}; ${bytes.expected}`
        )}
      </p>
    </Written>
  );
}

interface AskingProps extends Pick<WayProps, 'route' | 'onChange' | 'onKeep'> {
  project: Project;
}

/** From where, to where, by which port, and for what. */
function Asking({ project, route, onChange, onKeep }: AskingProps) {
  const stations = inOrder(project, 'station');
  const from = project.get('station', route.from);
  const stationChoice = (label: string, value: string, choose: (id: string) => void) => (
    <Choice
      label={label}
      value={value}
      options={stations.map((s) => ({ value: s.id, text: s.name }))}
      onChoose={choose}
    />
  );
  return (
    <Asked role="group" aria-label="What is asked">
      {stationChoice('from', route.from, (id) => onChange({ from: id, port: null }))}
      <Choice
        label="by"
        value={route.port ?? ''}
        options={[
          { value: '', text: 'any of its ports' },
          ...(from ? portsOf(project, from) : []).map((port) => ({
            value: port.id,
            text: `${port.name} ${port.address}`,
          })),
        ]}
        onChoose={(port) => onChange({ port: port || null })}
      />
      {stationChoice('to', route.to, (id) => onChange({ to: id }))}
      <Choice
        label="for"
        value={route.traffic}
        options={TRAFFICS.map((traffic) => ({ value: traffic, text: shownWord(traffic) }))}
        onChoose={(traffic) => onChange({ traffic: traffic as Traffic })}
      />
      {onKeep && <BoxButton onPress={onKeep}>Save route</BoxButton>}
    </Asked>
  );
}
