import { laneName } from '@dialoga/core/lane';
import type { LaneWalk, PathWalk, Try, ValueWalk } from '@dialoga/core/rehearse';
import { useMemo } from 'react';
import { symptomOf, symptomOfWalk } from '@dialoga/core/symptom';
import { Link, useNavigate, useParams } from 'react-router';
import styled from 'styled-components';
import { linkToLane } from '../findings/link';
import { SmallGrid } from '../grid/small-grid';
import type { GridCell, GridColumn, GridRow } from '../grid/types';
import { NothingHere } from '../page/nothing-here';
import { useStateOf } from '../store/store';
import { Empty, PageTitle, Scroll, Section, SectionHead } from '../theme/parts';
import { colour } from '../theme/tokens';
import { formatWhen } from '../words/when';
import { NowSection } from './now-section';
import { rehearsedOf } from './rehearsed-of';
import { useLastWalk } from './use-last-walk';
import { WalkHead } from './walk-head';

const COLUMNS: readonly GridColumn[] = [
  { id: 'value', title: 'Value', track: 'minmax(130px, 1fr)' },
  { id: 'set', title: 'Set', track: '130px', right: true },
  { id: 'there', title: 'At', track: 'minmax(130px, 1fr)' },
  { id: 'seen', title: 'Arrives as', track: '130px', right: true },
  { id: 'why', title: 'Why', track: 'minmax(240px, 2fr)' },
];

/** One exchange value by value: what was set where, and as what it arrived. */
export function ExchangeWalkPage() {
  const { project: address = '', exchange: id = '' } = useParams();
  const navigate = useNavigate();
  const project = useStateOf((s) => s.project.project)!;
  const standing = useStateOf((s) => s.findings.rehearsed);
  const walked = useLastWalk(id);
  const exchange = project.get('exchange', id);
  const walks = useMemo(() => walked?.walks.filter((walk) => project.get('lane', walk.lane)) ?? [], [walked, project]);
  if (!exchange) {
    const back = { to: `/p/${address}/rehearsal`, label: 'Rehearsal' };
    return <NothingHere what="There is no such exchange." back={back} />;
  }
  const { lanes, rehearsed, last } = rehearsedOf(project, exchange, standing);
  const mark = last
    ? `, last on revision ${last.revision}, ${formatWhen(last.at)}${last.by ? `, by ${last.by}` : ''}`
    : '';
  return (
    <>
      <PageTitle>
        <h1 dir="auto">{exchange.name}</h1>
        <p>
          {rehearsed} of {lanes.length} lanes rehearsed{mark}
        </p>
        <WalkHead about={{ exchange: id }} name={exchange.name} lanes={lanes.length}>
          <Link to={`/p/${address}/rehearsal/${id}/trace`}>Trace</Link>
          <Link to={`/p/${address}/exchanges/${id}`}>Both ends</Link>
        </WalkHead>
      </PageTitle>
      <Scroll>
        <NowSection exchange={id} />
        {!walked && (
          <Empty>
            Walk it: every bit of every value is set and cleared alone at its source, and looked for at its sink, with
            values that cannot be mistaken. Each end acts by what it says itself.
          </Empty>
        )}
        {walks.map((walk) => (
          <LaneSection
            key={walk.lane}
            walk={walk}
            name={laneName(project, project.get('lane', walk.lane)!)}
            onShow={() => void navigate(linkToLane(address, id, walk.lane))}
          />
        ))}
      </Scroll>
    </>
  );
}

const Then = styled.p`
  color: ${colour.ink2};
`;

const RESULT: Record<LaneWalk['result'], string> = {
  passed: 'comes through',
  failed: 'does not come through',
  'not walked': 'could not be walked',
};

function LaneSection({ walk, name, onShow }: { walk: LaneWalk; name: string; onShow: () => void }) {
  const bits = walk.paths.reduce((sum, path) => sum + path.bits, 0);
  const stops = [...new Set(walk.paths.flatMap(({ stopped }) => stopped ?? []))];
  const beside = [...new Set(walk.paths.flatMap((path) => path.beside))];
  const why = walk.result === 'not walked' ? [walk.why ?? ''] : [];
  const rows = walk.paths.flatMap((path, p) => path.values.map((value, v) => rowOf(`${p}.${v}`, path, value, onShow)));
  return (
    <Section aria-label={name}>
      <SectionHead>
        <h2 dir="auto">{name}</h2>
        <p>
          {RESULT[walk.result]}
          {bits > 0 && `, ${bits} bits set and cleared alone`}
        </p>
      </SectionHead>
      {[...why, ...stops].map((sentence) => (
        <p key={sentence}>{sentence}</p>
      ))}
      {stops.length > 0 && rows.length > 0 && <Then>once it gets through:</Then>}
      {beside.map((sentence) => (
        <p key={sentence}>{sentence}</p>
      ))}
      <SeenAs walk={walk} />
      {rows.length > 0 && (
        <SmallGrid label={`Walk of ${name}`} columns={COLUMNS} rows={rows} onEdit={() => undefined} />
      )}
    </Section>
  );
}

/** What a person would see of it on site, which leads to what may be behind it. */
function SeenAs({ walk }: { walk: LaneWalk }) {
  const { project: address = '' } = useParams();
  const project = useStateOf((s) => s.project.project)!;
  const symptom = symptomOf(symptomOfWalk(project, walk) ?? '');
  const sink = walk.paths[0]?.sink;
  const station = [...project.all('station')].find(({ name }) => name === sink);
  if (!symptom) return null;
  return (
    <Then>
      On site one would say:{' '}
      <Link to={`/p/${address}/symptoms/${symptom.id}?at=${station?.id ?? ''}`}>{symptom.words}</Link>
    </Then>
  );
}

/** Of those that arrived, the one with most digits. */
const longest = (tries: readonly Try[]): Try | undefined =>
  tries.reduce<Try | undefined>((a, b) => (a && a.set.length >= b.set.length ? a : b), undefined);

/** Of what arrived otherwise the value that shows it; else one that cannot be mistaken. */
function rowOf(id: string, { source, sink }: PathWalk, value: ValueWalk, onShow: () => void): GridRow {
  const { tries, came, why } = value;
  const shown = tries.find(({ set, seen }) => set !== seen) ?? longest(tries);
  const wrong = came !== 'arrived';
  const name = `${value.source || value.sink || 'the block'} at ${source}`;
  const cells: GridCell[] = [
    { text: name, action: { label: `Show ${name} on the sheet`, run: onShow } },
    { text: shown?.set ?? '', mono: true, right: true },
    { text: `${value.sink || value.source || 'the block'} at ${sink}` },
    {
      text: came === 'nothing' ? 'nothing' : (shown?.seen ?? (wrong ? '' : 'the same')),
      mono: true,
      right: true,
      differs: wrong,
    },
    { text: why, muted: !wrong },
  ];
  return { id, height: 24, cells };
}
