import { set } from '@dialoga/core/change';
import { readTagContext, readTagField, tagFieldText } from '@dialoga/core/fields';
import { BINDINGS, childrenOf, type Binding, type Project, type Tag } from '@dialoga/core/model';
import { placeText } from '@dialoga/core/place';
import { bindChanges, takeOverChanges, type Reconciled, type TagPair } from '@dialoga/core/tags';
import { NEAR_SCORES } from '@dialoga/core/text';
import { useEffect, useMemo, useState } from 'react';
import { useParams, useSearchParams } from 'react-router';
import styled from 'styled-components';
import { Choice } from '../forms/choice';
import { useTakeKey } from '../page/take-key';
import { NothingHere } from '../page/nothing-here';
import { Grid } from '../grid/grid';
import type { GridCell, GridColumn, GridRow } from '../grid/types';
import { edit } from '../store/editing';
import { newId } from '../api/new-id';
import { projectSlice } from '../store/project-slice';
import { useAppDispatch, useStateOf } from '../store/store';
import { BoxButton, PageTitle } from '../theme/parts';
import { colour, size, space } from '../theme/tokens';
import { checker } from '../worker/checker';
import { rememberedName } from '../api/remembered-name';
import { NotUsedDialog } from './not-used-dialog';

const Tools = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: ${space[2]}px ${space[5]}px;
  padding: ${space[2]}px ${space[4]}px;
  border-bottom: 1px solid ${colour.hairline};
  .label {
    color: ${colour.ink2};
    font-size: ${size.data}px;
  }
  > span {
    display: flex;
    gap: ${space[4]}px;
    margin-left: auto;
  }
`;

const COLUMNS = (mine: string, theirs: string): GridColumn[] => [
  { id: 'state', title: 'State', track: '104px' },
  { id: 'mine', title: `${mine} asks for`, names: true, track: 'minmax(170px, 1.2fr)' },
  { id: 'mineType', title: 'Type', track: '110px' },
  { id: 'theirs', title: `${theirs} has`, names: true, track: 'minmax(170px, 1.2fr)' },
  { id: 'theirType', title: 'Type', track: '110px' },
  { id: 'where', title: 'Where', track: '110px' },
  { id: 'score', title: 'Match, %', track: '60px', right: true },
  { id: 'why', title: 'In what they differ', track: 'minmax(150px, 1fr)' },
  { id: 'do', title: 'Do', track: '80px' },
];

/** Names of the scores from which on all are accepted at once. */
const ABOVE = [
  ['only the same', NEAR_SCORES.same],
  ['case may differ', NEAR_SCORES.case],
  ['separators, too', NEAR_SCORES.separators],
  ['leading zeros, too', NEAR_SCORES['width of digits']],
  ['letters, too', NEAR_SCORES['one letter']],
] as const;

const ORDER: readonly TagPair['state'][] = ['nearly', 'left over', 'matched', 'not asked for', 'not used', 'bound'];

/** Two lists face to face: what a station asks for beside what the other has; accepted one by one or all above a score. */
export function ReconcilePage() {
  const { project: projectId = '', exchange: id = '' } = useParams();
  const [search, setSearch] = useSearchParams();
  const project = useStateOf((s) => s.project.project)!;
  const dispatch = useAppDispatch();
  const [found, setFound] = useState<Reconciled | null>(null);
  const [above, setAbove] = useState<number>(NEAR_SCORES.same);
  const [waiving, setWaiving] = useState<readonly TagPair[] | null>(null);
  const exchange = project.get('exchange', id);
  const ends = useMemo(() => childrenOf(project, 'end', id), [project, id]);
  const asking = ends.find((end) => end.calling === 'calls') ?? ends[0];
  const others = ends.filter((end) => end.id !== asking?.id);
  const asked = others.find((end) => end.id === search.get('end')) ?? others[0];
  const usual = () => (asksByAddress(project, asking?.station, asked?.station) ? 'by address' : 'by name');
  const by = (BINDINGS.find((one) => one === search.get('by')) ?? exchange?.binding ?? usual()) as Binding;
  useEffect(() => {
    if (!asking || !asked) return;
    let current = true;
    void checker()
      .reconcile(id, asking.id, asked.id, by)
      .then((next) => current && setFound(next));
    return () => {
      current = false;
    };
  }, [project, id, asking, asked, by]);

  if (!exchange || !asking || !asked) {
    return (
      <NothingHere what="There is no such tag map." back={{ to: `/p/${projectId}/tags`, label: 'All stations' }} />
    );
  }
  const name = (station: string) => project.get('station', station)?.name ?? '';
  const [mine, theirs] = [name(asking.station), name(asked.station)];

  function accept(pairs: readonly TagPair[]) {
    if (pairs.length === 0) return;
    const bound = pairs.map((p) => ({ mine: p.mine!, theirs: p.theirs, place: p.place }));
    const words = pairs.length === 1 ? pairs[0]!.mine!.name : `${pairs.length} points`;
    // The first pairs of a map say by what it binds.
    const first = exchange!.binding ? [] : [set('exchange', exchange!, ['binding'], by)];
    const as = first.length > 0 ? { ...exchange!, binding: by } : exchange!;
    const changes = [...first, ...bindChanges(project, as, [asking!, asked!], by, bound, newId)];
    dispatch(edit(`Bind ${words} of ${mine}`, changes));
  }
  /** What the other has and nobody asks for becomes own tags, bound. */
  function takeOver(tags: readonly Tag[]) {
    const first = exchange!.binding ? [] : [set('exchange', exchange!, ['binding'], by)];
    const as = first.length > 0 ? { ...exchange!, binding: by } : exchange!;
    const changes = takeOverChanges(project, as, [asking!, asked!], by, tags, newId);
    dispatch(edit(`Take over ${tags.length} tags of ${theirs}`, [...first, ...changes]));
  }
  function waive(pairs: readonly TagPair[], reason: string) {
    const notUsed = { reason, by: rememberedName() || 'not named' };
    const changes = pairs.map((pair) => set('tag', pair.mine!, ['notUsed'], notUsed));
    dispatch(edit(`Not used: ${pairs.length === 1 ? pairs[0]!.mine!.name : `${pairs.length} points`}`, changes));
    dispatch(projectSlice.actions.noticed(`${pairs.length} declared not used: ${reason}`));
  }
  const choose = (key: string, value: string) => {
    const params = new URLSearchParams(search);
    params.set(key, value);
    setSearch(params, { replace: true });
  };
  const acceptable = (found?.pairs ?? []).filter(
    (p) => (p.state === 'matched' || p.state === 'nearly') && p.score >= above,
  );
  const notAsked = (found?.pairs ?? []).flatMap((p) => (p.state === 'not asked for' && p.theirs ? [p.theirs] : []));
  const leftOver = (found?.pairs ?? []).filter((p) => p.state === 'left over');
  return (
    <>
      <PageTitle>
        <h1>
          Match tags: {mine} and {theirs}
        </h1>
        <p>{found ? countWords(found, mine, theirs) : 'comparing …'}</p>
      </PageTitle>
      <Tools role="toolbar" aria-label="Match tags">
        <Choice
          label="matched"
          value={by}
          options={BINDINGS.map((one) => ({ value: one, text: one }))}
          onChoose={(one) => choose('by', one)}
        />
        {others.length > 1 && (
          <Choice
            label="with"
            value={asked.id}
            options={others.map((end) => ({ value: end.id, text: name(end.station) }))}
            onChoose={(end) => choose('end', end)}
          />
        )}
        <span>
          <Choice
            label="how sure"
            value={String(above)}
            options={ABOVE.map(([text, score]) => ({ value: String(score), text }))}
            onChoose={(score) => setAbove(Number(score))}
          />
          <AcceptAll count={acceptable.length} onAccept={waiving ? null : () => accept(acceptable)} />
          <BoxButton isDisabled={notAsked.length === 0} onPress={() => takeOver(notAsked)}>
            Take over {notAsked.length}
          </BoxButton>
          <BoxButton isDisabled={leftOver.length === 0} onPress={() => setWaiving(leftOver)}>
            {leftOver.length} not used …
          </BoxButton>
        </span>
      </Tools>
      <Grid
        label={`Match tags: ${mine} and ${theirs}`}
        main
        columns={COLUMNS(mine, theirs)}
        rows={found ? rowsOf(found) : []}
        onEdit={() => undefined}
      />
      {waiving && (
        <NotUsedDialog
          names={waiving.map((p) => p.mine!.name)}
          onTake={(reason) => {
            waive(waiving, reason);
            setWaiving(null);
          }}
          onClose={() => setWaiving(null)}
        />
      )}
    </>
  );

  function rowsOf({ pairs }: Reconciled): GridRow[] {
    const text = (value: string, more: Partial<GridCell> = {}): GridCell => ({ text: value, ...more });
    const sorted = [...pairs].sort((a, b) => ORDER.indexOf(a.state) - ORDER.indexOf(b.state));
    return sorted.map((pair): GridRow => {
      const { mine: one, theirs: other, place, state, score, why } = pair;
      const quiet = state === 'bound' || state === 'not used';
      const at = place ? placeText(project, place) : other ? tagFieldText(project, other, 'place') : (one?.asks ?? '');
      const action =
        state === 'matched' || state === 'nearly'
          ? { text: 'Accept', action: { label: `Accept ${one!.name}`, run: () => accept([pair]) } }
          : state === 'left over'
            ? { text: 'Not used', action: { label: `${one!.name} is not used`, run: () => setWaiving([pair]) } }
            : text('');
      return {
        id: `${one?.id ?? ''} ${other?.id ?? ''}`,
        height: 22,
        cells: [
          text(state, { muted: quiet }),
          text(one?.name ?? '', { muted: quiet, differs: state === 'nearly' }),
          text(one ? tagFieldText(project, one, 'type') : '', { mono: true, muted: true }),
          text(other?.name ?? '', { muted: quiet, differs: state === 'nearly' }),
          text(other ? tagFieldText(project, other, 'type') : '', { mono: true, muted: true }),
          text(at, { mono: true, muted: quiet }),
          text(state === 'matched' || state === 'nearly' ? String(score) : '', { right: true }),
          text(why, { muted: quiet }),
          action,
        ],
      };
    });
  }
}

/** What the page proposes: by its key from anywhere on it. */
function AcceptAll({ count, onAccept }: { count: number; onAccept: (() => void) | null }) {
  useTakeKey(onAccept);
  return (
    <BoxButton aria-keyshortcuts="Control+Enter" isDisabled={count === 0} onPress={() => onAccept?.()}>
      Accept {count}
    </BoxButton>
  );
}

/** Whether what a station asks for is written as addresses of the other. */
function asksByAddress(project: Project, asking = '', asked = ''): boolean {
  const context = readTagContext(project, asked);
  const [first] = childrenOf(project, 'tag', asking).flatMap(({ asks }) => asks ?? []);
  return first !== undefined && readTagField('place', first, context).problem === null;
}

function countWords({ counts }: Reconciled, mine: string, theirs: string): string {
  return [
    `${counts.bound} bound`,
    `${counts.matched} matched`,
    `${counts.nearly} nearly`,
    `${counts['left over']} unmatched at ${mine}`,
    `${counts['not asked for']} unmatched at ${theirs}`,
    `${counts['not used']} not used`,
  ].join(', ');
}
