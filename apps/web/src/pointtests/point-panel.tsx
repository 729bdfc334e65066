import {
  notRunning,
  pointDetail,
  pointName,
  type Point,
  type PointDetail,
  type PointStanding,
} from '@dialoga/core/pointtest';
import type { Project } from '@dialoga/core/model';
import { clockAhead } from '@dialoga/core/text';
import { useMemo, useState, type ReactNode } from 'react';
import { Radio, RadioGroup } from 'react-aria-components';
import styled from 'styled-components';
import { useKeys } from '../page/keys';
import { colour, font, size, space } from '../theme/tokens';
import { formatWhenShort } from '../words/when';
import { Instead, type AskedInstead } from './instead';
import { LargeButton } from './large-button';
import type { Looks, Saying } from './say-of-point';
import { stateWords } from './point-rows';
import { WhyNotSeen } from './why-not-seen';

const Box = styled.section`
  display: flex;
  flex-direction: column;
  gap: ${space[4]}px;
  padding: ${space[4]}px;
  font-size: ${size.prose}px;
`;
const Facts = styled.dl`
  display: grid;
  grid-template-columns: 84px minmax(0, 1fr);
  gap: ${space[3]}px ${space[4]}px;
  align-items: baseline;
  margin: 0;
  dd {
    margin: 0;
    overflow-wrap: anywhere;
  }
`;
const Large = styled.b`
  display: inline-block;
  min-width: 120px;
  margin-right: ${space[4]}px;
  font: 600 28px/1.2 ${font.code};
`;
const Buttons = styled.div`
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: ${space[4]}px;
`;
const Views = styled(RadioGroup)`
  display: flex;
  flex-wrap: wrap;
  gap: ${space[3]}px;
  align-items: center;
  label {
    display: inline-flex;
    align-items: center;
    min-height: 44px;
    padding: 0 ${space[4]}px;
    border: 1px solid ${colour.edge};
    background: ${colour.sheet};
    cursor: pointer;
  }
  label[data-selected] {
    border: 2px solid ${colour.ink};
    font-weight: 600;
  }
  label[data-focus-visible] {
    outline: 2px solid ${colour.focus};
    outline-offset: 1px;
  }
`;
const Told = styled.ul`
  li {
    padding: ${space[2]}px 0;
    border-bottom: 1px solid ${colour.hairline};
  }
`;

const LOOKS: readonly { looks: Looks; words: string }[] = [
  { looks: 'tool', words: 'in the tool' },
  { looks: 'device', words: 'at the device itself' },
  { looks: 'both', words: 'at both' },
];

interface Props {
  project: Project;
  point: Point;
  standing: PointStanding;
  looks: Looks;
  onLooks: (looks: Looks) => void;
  onSay: (saying: Saying) => void;
  onRunning: () => void;
}

/** One point in large type: what to set and where, what to expect and where, and three answers. */
export function PointPanel(props: Props) {
  const { project, point, standing, looks, onLooks, onSay, onRunning } = props;
  const detail = useMemo(() => pointDetail(project, point), [project, point]);
  const idle = useMemo(() => notRunning(project, point), [project, point]);
  const [at, setAt] = useState(0);
  const [good, setGood] = useState(true);
  const [asked, setAsked] = useState<AskedInstead | null>(null);
  const tries = detail?.tries ?? [];
  const now = tries[Math.min(at, tries.length - 1)];
  const further = at < tries.length - 1;

  const seen = () => {
    if (further) setAt(at + 1);
    else onSay({ result: 'seen', ...(detail?.quality ? { good } : {}) });
  };

  useKeys((event) => {
    if (event.ctrlKey || event.altKey || event.metaKey || isTyping(event.target)) return;
    const key = event.key.toLowerCase();
    if (idle && key === 'r') onRunning();
    else if (key === 's') setAsked({ result: 'skipped', text: '' });
    else if (key === 'v') onLooks(LOOKS[(LOOKS.findIndex((one) => one.looks === looks) + 1) % LOOKS.length]!.looks);
    else if (idle) return;
    else if (key === 'y') seen();
    else if (key === 'n') setAsked({ result: 'not seen', text: '' });
    else if (/^[\d−-]$/.test(key) && point.sort === 'value') setAsked({ result: 'not seen', text: event.key });
    else return;
    event.preventDefault();
    event.stopPropagation();
  }, 'before all else');

  if (!detail || !now) return <Box aria-label="The point at hand">It cannot be tested as it is planned now.</Box>;
  return (
    <Box aria-label="The point at hand">
      <div>
        <h2>{pointName(point)}</h2>
        <p aria-live="polite">
          {stateWords(standing)}
          {standing.quarrel && `. ${standing.quarrel}`}
        </p>
      </div>
      <How point={point} detail={detail} at={at} />
      {detail.quality && (
        <Views
          aria-label="Its quality"
          orientation="horizontal"
          value={good ? 'good' : 'other'}
          onChange={(one) => setGood(one === 'good')}
        >
          <span>It says that its quality is</span>
          <Radio value="good">good</Radio>
          <Radio value="other">not good, or nothing</Radio>
        </Views>
      )}
      {idle ? (
        <>
          <p role="status">{idle.sentence}</p>
          <Buttons>
            <LargeButton keys="R" onPress={onRunning}>
              {idle.stations.length > 1 ? 'They run' : 'It runs'}
            </LargeButton>
            <span />
            <LargeButton keys="S" onPress={() => setAsked({ result: 'skipped', text: '' })}>
              Skip …
            </LargeButton>
          </Buttons>
        </>
      ) : (
        <Buttons>
          <LargeButton keys="Y" onPress={seen}>
            {further ? 'Seen, next' : 'Seen'}
          </LargeButton>
          <LargeButton keys="N" onPress={() => setAsked({ result: 'not seen', text: '' })}>
            Not seen …
          </LargeButton>
          <LargeButton keys="S" onPress={() => setAsked({ result: 'skipped', text: '' })}>
            Skip …
          </LargeButton>
        </Buttons>
      )}
      {asked && (
        <Instead
          asked={asked}
          expected={point.sort === 'value' ? now.expect : ''}
          onClose={() => setAsked(null)}
          onSaid={(text) => {
            setAsked(null);
            if (asked.result === 'skipped') onSay({ result: 'skipped', reason: text });
            else onSay({ result: 'not seen', set: now.set, saw: text });
          }}
        />
      )}
      <Views
        aria-label="Where you look"
        orientation="horizontal"
        value={looks}
        onChange={(one) => onLooks(one as Looks)}
      >
        <span>You look</span>
        {LOOKS.map((one) => (
          <Radio key={one.looks} value={one.looks}>
            {one.words}
          </Radio>
        ))}
        <kbd>V</kbd>
      </Views>
      {standing.state === 'not seen' && (
        <WhyNotSeen project={project} point={point} standing={standing} expected={now.expect} />
      )}
      {standing.records.length > 0 && (
        <Told aria-label="What was said of it">
          {standing.records.slice(0, MOST_TOLD).map((record) => (
            <li key={record.id}>
              {record.result} {record.view === 'tool' ? 'in the tool' : 'at the device'}
              {record.saw && `: ${record.saw} in place of what was set, ${record.set ?? ''}`}
              {record.reason && `: ${record.reason}`}
              {record.good === false && ', quality not good'} · {formatWhenShort(record.at)}, {record.by || 'not named'}
              , revision {record.revision}
              {record.basis !== point.basis && ' · before the change'}
              {ahead(record.at)}
            </li>
          ))}
        </Told>
      )}
    </Box>
  );
}

const MOST_TOLD = 6;

/** Where the clock of whoever said it and this one differ. */
function ahead(at: string): string {
  const words = clockAhead(at, new Date().toISOString());
  return words && ` · ${words}`;
}

const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && target.closest('input, textarea, [role="dialog"], [role="listbox"]') !== null;

function How({ point, detail, at }: { point: Point; detail: PointDetail; at: number }) {
  const { tries, brought, still, atRest } = detail;
  const now = tries[Math.min(at, tries.length - 1)]!;
  const step = tries.length > 1 ? `step ${Math.min(at, tries.length - 1) + 1} of ${tries.length}` : '';
  if (point.sort !== 'value') {
    return (
      <Facts>
        <Fact name="Do">{now.set}</Fact>
        <Fact name="Expect">{now.expect}</Fact>
      </Facts>
    );
  }
  return (
    <Facts>
      <Fact name={at > 0 ? 'Then set' : 'Set'}>
        <Large>{now.set}</Large> <Place end={point.from} />
        {now.element && ` ${now.element}`}
        {step && ` · ${step}`}
      </Fact>
      {brought.length > 0 && (
        <Fact name="Begins in">
          {brought.map(({ name, station, address }) => (
            <div key={`${station} ${address}`}>
              {station}, {name} <code>{address}</code>
            </div>
          ))}
          Set it there, so that the above stands at {point.from.at}: what is set in {point.from.at} itself is written
          over.
        </Fact>
      )}
      <Fact name="Expect">
        <Large>{now.expect}</Large> <Place end={point.to} />
        {now.element && ` ${now.element}`}
      </Fact>
      {atRest && <Fact name="At rest">{atRest}</Fact>}
      {still && (
        <Fact name="Stands still">
          {still.name} <code>{still.address}</code>
        </Fact>
      )}
    </Facts>
  );
}

const Fact = ({ name, children }: { name: string; children: ReactNode }) => (
  <>
    <dt>{name}</dt>
    <dd>{children}</dd>
  </>
);

const Place = ({ end: { at, address, name } }: { end: Point['from'] }) => (
  <>
    at {at} {address ? <code>{address}</code> : name}
  </>
);
