import { childrenOf, inOrder, type Project } from '@dialoga/core/model';
import { useState } from 'react';
import styled from 'styled-components';
import { SmallGrid } from '../grid/small-grid';
import type { GridColumn } from '../grid/types';
import { useStateOf } from '../store/store';
import { BoxButton, Section, SectionHead, TextButton } from '../theme/parts';
import { space } from '../theme/tokens';
import { formatWhen } from '../words/when';
import { HandOverDialog } from './hand-over-dialog';
import { JoinDialog } from './join-dialog';
import { TimeLine } from './time-line';
import { useRehearsal } from '../store/use-rehearsal';

const WHO: readonly GridColumn[] = [
  { id: 'station', title: 'Who stands where', track: 'minmax(140px, 1fr)' },
  { id: 'planned', title: 'In the plan', track: 'minmax(170px, 1.2fr)' },
  { id: 'protocol', title: 'Protocol', track: 'minmax(150px, 1fr)' },
  { id: 'typed', title: 'To type into another program', track: 'minmax(220px, 1.4fr)' },
];
const PARTS: readonly GridColumn[] = [
  { id: 'name', title: 'Network or station', track: 'minmax(124px, 1.2fr)' },
  { id: 'state', title: 'Now', track: 'minmax(76px, 1fr)' },
  { id: 'link', title: 'Its link', track: '58px' },
  { id: 'run', title: 'Station', track: '58px' },
  { id: 'fault', title: 'Fault', track: '58px' },
  { id: 'load', title: 'Project', track: '58px' },
  { id: 'other', title: 'Other program', track: 'minmax(104px, 0.8fr)' },
];

const Columns = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1.1fr) minmax(0, 1fr);
  gap: ${space[6]}px;
  @media (max-width: 1100px) {
    grid-template-columns: minmax(0, 1fr);
  }
`;

/** At the edge, where nothing that is said beside them moves them. */
const Acts = styled.div`
  display: flex;
  flex: none;
  gap: ${space[5]}px;
  margin-left: auto;
`;

const Undo = styled.ul`
  padding: 0;
  list-style: none;
`;

/** Who runs, where an outside client finds him, and what can be cut, stopped and taken off. */
export function StandInsSection() {
  const project = useStateOf((s) => s.project.project)!;
  const revision = useStateOf((s) => s.project.revision);
  const { view, elsewhere, start, end, act } = useRehearsal();
  const [handing, setHanding] = useState<{ id: string; name: string } | null>(null);
  const [joining, setJoining] = useState<{ id: string; name: string; stations: ReadonlySet<string> } | null>(null);
  if (!view) {
    return (
      <Section aria-label="On stand-ins">
        <SectionHead>
          <h2>On stand-ins</h2>
          <p>
            the plant runs on the server; whoever answers Modbus or OPC UA listens on loopback, so that other programs
            can ask
          </p>
        </SectionHead>
        {elsewhere && (
          <p role="status">
            {elsewhere.isOver
              ? `The rehearsal${elsewhere.by ? ` that ${elsewhere.by} began` : ''} ended with its process (${elsewhere.process}), last heard of ${formatWhen(elsewhere.heard)}. Nothing else is lost.`
              : `It runs in another process (${elsewhere.process})${elsewhere.by ? `, begun by ${elsewhere.by}` : ''}; begun here, it begins anew.`}
          </p>
        )}
        <BoxButton onPress={start}>Let it run</BoxButton>
      </Section>
    );
  }
  const { standings, driven, cuts, stopped, faulted, outside, told } = view;
  return (
    <Section aria-label="On stand-ins">
      <SectionHead>
        <h2>On stand-ins</h2>
        <p>
          runs since {formatWhen(view.since)}
          {view.by && `, begun by ${view.by}`}, on revision {view.revision}
        </p>
        {view.revision < revision && <span>goes on with revision {revision} in a moment</span>}
        <Acts>
          <TextButton onPress={start}>Begin anew</TextButton>
          <TextButton onPress={end}>End it</TextButton>
        </Acts>
      </SectionHead>
      <TimeLine view={view} act={act} />
      {told.length > 0 && (
        <ul role="status" aria-label="What could not go on after the last edit">
          {told.map((sentence) => (
            <li key={sentence}>{sentence}</li>
          ))}
        </ul>
      )}
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
          {driven.length + outside.length > 0 && (
            <>
              <SectionHead>
                <h3>To be undone</h3>
                <p>what this rehearsal holds in place of programs</p>
              </SectionHead>
              <Undo>
                {outside.map(({ station, at }) => {
                  const name = project.get('station', station)?.name ?? station;
                  return (
                    <li key={station}>
                      {name} is played by another program{at && ` at ${at}`}{' '}
                      <TextButton
                        aria-label={`Take ${name} back`}
                        onPress={() => act({ what: 'take back', id: station })}
                      >
                        Take it back
                      </TextButton>
                    </li>
                  );
                })}
                {driven.map(({ link, key, name, does }) => (
                  <li key={`${link} ${key}`}>
                    {name} is set by hand: {does}{' '}
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
            const isFaulted = station !== null && faulted.includes(station);
            const other = outside.find((one) => one.station === station);
            const words = [isStopped && 'stopped', isFaulted && 'faulted', isCut && 'cut', other && 'another program']
              .filter(Boolean)
              .join(', ');
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
            const fault = station !== null && {
              text: isFaulted ? 'Clear' : 'Fault',
              action: {
                label: isFaulted ? `Clear the fault of ${name}` : `Fault ${name}`,
                run: () => act({ what: isFaulted ? 'start' : 'fault', id: station }),
              },
            };
            const load = station !== null && {
              text: 'Load',
              action: { label: `Load ${name}`, run: () => act({ what: 'load', id: station }) },
            };
            const hand = station !== null && {
              text: other ? 'Take back' : 'Hand over',
              action: {
                label: other ? `Take back ${name}` : `Hand ${name} to another program`,
                run: () => (other ? act({ what: 'take back', id: station }) : setHanding({ id: station, name })),
              },
            };
            const state = { text: words || (station === null ? 'joined' : 'runs'), differs: words !== '' };
            return {
              id,
              height: 24,
              cells: [{ text: name }, state, cut || null, stop || null, fault || null, load || null, hand || null],
            };
          })}
        />
      </Columns>
      {handing && (
        <HandOverDialog
          name={handing.name}
          onHand={(text) => {
            act({ what: 'hand over', id: handing.id, text });
            setHanding(null);
          }}
          onClose={() => setHanding(null)}
        />
      )}
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
