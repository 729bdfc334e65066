import { childrenOf, inOrder, type Project } from '@dialoga/core/model';
import { useState } from 'react';
import styled from 'styled-components';
import { SmallGrid } from '../grid/small-grid';
import type { GridColumn } from '../grid/types';
import { useStateOf } from '../store/store';
import { BoxButton, Section, SectionHead, TextButton } from '../theme/parts';
import { space } from '../theme/tokens';
import { formatWhen } from '../words/when';
import { JoinDialog } from './join-dialog';
import { useRehearsal } from '../store/use-rehearsal';

const WHO: readonly GridColumn[] = [
  { id: 'station', title: 'Who stands where', track: 'minmax(140px, 1fr)' },
  { id: 'planned', title: 'In the plan', track: 'minmax(170px, 1.2fr)' },
  { id: 'protocol', title: 'Protocol', track: 'minmax(150px, 1fr)' },
  { id: 'typed', title: 'To type into another program', track: 'minmax(220px, 1.4fr)' },
];
const PARTS: readonly GridColumn[] = [
  { id: 'name', title: 'Network or station', track: 'minmax(150px, 1.2fr)' },
  { id: 'state', title: 'Now', track: 'minmax(110px, 1fr)' },
  { id: 'link', title: 'Its link', track: '120px' },
  { id: 'run', title: 'Station', track: '120px' },
];

const Columns = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1.3fr) minmax(0, 1fr);
  gap: ${space[6]}px;
  @media (max-width: 1100px) {
    grid-template-columns: minmax(0, 1fr);
  }
`;

const Undo = styled.ul`
  padding: 0;
  list-style: none;
`;

/** Who runs, where an outside client finds him, and what can be cut, stopped and taken off. */
export function StandInsSection() {
  const project = useStateOf((s) => s.project.project)!;
  const revision = useStateOf((s) => s.project.revision);
  const { view, start, end, act } = useRehearsal();
  const [joining, setJoining] = useState<{ id: string; name: string; stations: ReadonlySet<string> } | null>(null);
  if (!view) {
    return (
      <Section aria-label="On stand-ins">
        <SectionHead>
          <h2>On stand-ins</h2>
          <p>
            the plant runs on the server; whoever answers Modbus listens on loopback, so that other programs can ask
          </p>
        </SectionHead>
        <BoxButton onPress={start}>Let it run</BoxButton>
      </Section>
    );
  }
  const { standings, driven, cuts, stopped } = view;
  return (
    <Section aria-label="On stand-ins">
      <SectionHead>
        <h2>On stand-ins</h2>
        <p>
          runs since {formatWhen(view.since)}
          {view.by && `, begun by ${view.by}`}, on revision {view.revision}
        </p>
        {view.revision < revision && <TextButton onPress={start}>Begin anew on revision {revision}</TextButton>}
        <TextButton onPress={end}>End it</TextButton>
      </SectionHead>
      <Columns>
        <div>
          <SmallGrid
            label="Who stands where"
            columns={WHO}
            onEdit={() => undefined}
            rows={standings.map(({ station, name, planned, protocol, typed }, i) => ({
              id: `${station} ${i}`,
              height: 24,
              cells: [{ text: name }, { text: planned, mono: true }, { text: protocol }, { text: typed, mono: true }],
            }))}
          />
          {driven.length > 0 && (
            <>
              <SectionHead>
                <h3>To be undone</h3>
                <p>what this rehearsal holds in place of programs</p>
              </SectionHead>
              <Undo>
                {driven.map(({ link, key, name }) => (
                  <li key={`${link} ${key}`}>
                    {name} is set by hand{' '}
                    <TextButton
                      aria-label={`Take the hand off ${name}`}
                      onPress={() => act({ what: 'let go', id: link, key })}
                    >
                      Take it off
                    </TextButton>
                  </li>
                ))}
              </Undo>
            </>
          )}
        </div>
        <SmallGrid
          label="What can be cut and stopped"
          columns={PARTS}
          onEdit={() => undefined}
          rows={partsOf(project).map(({ id, name, link, station, stations }) => {
            const isCut = link !== null && cuts.includes(link);
            const isStopped = station !== null && stopped.includes(station);
            const words = [isStopped && 'stopped', isCut && 'cut'].filter(Boolean).join(', ');
            const cut = link !== null && {
              text: isCut ? 'Join' : 'Cut',
              action: {
                label: `${isCut ? 'Join' : 'Cut'} the link of ${name}`,
                run: () => (isCut ? setJoining({ id: link, name, stations }) : act({ what: 'cut', id: link })),
              },
            };
            const stop = station !== null && {
              text: isStopped ? 'Start' : 'Stop',
              action: {
                label: `${isStopped ? 'Start' : 'Stop'} ${name}`,
                run: () => act({ what: isStopped ? 'start' : 'stop', id: station }),
              },
            };
            const state = { text: words || (station === null ? 'joined' : 'runs'), differs: words !== '' };
            return { id, height: 24, cells: [{ text: name }, state, cut || null, stop || null] };
          })}
        />
      </Columns>
      {joining && (
        <JoinDialog
          {...joining}
          onJoin={() => {
            act({ what: 'join', id: joining.id });
            setJoining(null);
          }}
          onClose={() => setJoining(null)}
        />
      )}
    </Section>
  );
}

interface Part {
  id: string;
  name: string;
  /** the network or port that is cut; null: it is on none */
  link: string | null;
  station: string | null;
  /** who is beyond the link */
  stations: ReadonlySet<string>;
}

/** Networks first, then the stations that take part in an exchange. */
function partsOf(project: Project): Part[] {
  const networks = inOrder(project, 'network').map(({ id, name }): Part => {
    const stations = new Set(childrenOf(project, 'port', id).map((port) => port.station));
    return { id, name, link: id, station: null, stations };
  });
  const taking = new Set([...project.all('end')].map(({ station }) => station));
  const stations = inOrder(project, 'station').flatMap(({ id, name }): Part[] => {
    if (!taking.has(id)) return [];
    const [port] = childrenOf(project, 'port', id);
    return [{ id, name, link: port?.id ?? null, station: id, stations: new Set([id]) }];
  });
  return [...networks, ...stations];
}
