import { inOrder } from '@dialoga/core/model';
import { recordsOfGone } from '@dialoga/core/pointtest';
import { useMemo, useRef, useState } from 'react';
import { useSearchParams } from 'react-router';
import styled from 'styled-components';
import { currentAuthor } from '../api/author';
import { Choice } from '../forms/choice';
import { Grid } from '../grid/grid';
import { AuthorField } from '../history/author-field';
import { AwayLine } from './away-line';
import { ListAndOne } from '../site/list-and-one';
import { SiteTitle } from '../site/site-title';
import { projectSlice } from '../store/project-slice';
import { useAppDispatch, useStateOf } from '../store/store';
import { Empty, Scroll, TextButton } from '../theme/parts';
import { colour, size, space } from '../theme/tokens';
import { formatWhenShort } from '../words/when';
import { isShown, isToDo, POINT_COLUMNS, pointRow, SHOWN, type Shown } from './point-rows';
import { PointPanel } from './point-panel';
import { ProgressTable } from './progress-table';
import { sayOfPoint, sayRunning, type Looks, type Saying } from './say-of-point';
import { usePoints } from './use-points';
import { useStates } from './use-states';
import { WhichMovedForm } from './which-moved-form';

const Page = styled.div`
  display: flex;
  flex: 1;
  flex-direction: column;
  min-height: 0;
`;
const Line = styled.p`
  display: flex;
  flex-wrap: wrap;
  gap: ${space[4]}px;
  padding: ${space[2]}px ${space[4]}px;
  border-bottom: 1px solid ${colour.hairline};
  font-size: ${size.data}px;
`;

const EXTRAS = ['the list', 'how far it is'] as const;

/** What is tested on site, point by point: the list, and one point in large type. Works while the server is away. */
export function PointTestsPage() {
  const project = useStateOf((s) => s.project.project)!;
  const dispatch = useAppDispatch();
  const points = usePoints();
  const states = useStates(points);
  const [search, setSearch] = useSearchParams();
  const [shown, setShown] = useState<Shown>('to do');
  const [exchange, setExchange] = useState(() => search.get('exchange') ?? '');
  const [looks, setLooks] = useState<Looks>('tool');
  const [as, setAs] = useState<(typeof EXTRAS)[number]>('the list');
  const author = useRef<HTMLDivElement>(null);
  // Its own state and not the address: the next key may come before that has followed.
  const [at, setAt] = useState(() => search.get('point') ?? '');
  const all = useMemo(() => points?.points ?? [], [points]);
  const list = useMemo(
    () =>
      all.filter(
        (point) =>
          point.key === at ||
          ((exchange === '' || point.exchange === exchange) && isShown(shown, states.of(point), looks)),
      ),
    [all, exchange, shown, states, looks, at],
  );
  const current = list.find(({ key }) => key === at) ?? list[0];
  const grid = useMemo(() => list.map((point) => pointRow(point, states.of(point))), [list, states]);
  const gone = useMemo(() => (points ? recordsOfGone(project, points.points) : []), [project, points]);
  const exchanges = inOrder(project, 'exchange').filter(({ kind }) => kind !== 'service link');
  const go = (key: string) => {
    setAt(key);
    setSearch({ point: key }, { replace: true });
  };

  const say = (saying: Saying) => {
    if (!current || !isNamed()) return;
    const next = nextToDo(list.indexOf(current));
    if (dispatch(sayOfPoint(current, looks, saying)))
      go(saying.result === 'not seen' ? current.key : (next ?? current.key));
  };

  if (!points) return <SiteTitle />;
  return (
    <Page data-fits>
      <SiteTitle>
        <Choice
          label="Show"
          value={as}
          options={EXTRAS.map((value) => ({ value, text: value }))}
          onChoose={(one) => setAs(one as never)}
        />
        <Choice
          label="Of"
          value={exchange}
          options={[
            { value: '', text: 'every exchange' },
            ...exchanges.map(({ id, name }) => ({ value: id, text: name })),
          ]}
          onChoose={(one) => {
            setExchange(one);
            setAt('');
          }}
        />
        <Choice
          label="What is"
          value={shown}
          options={SHOWN.map((value) => ({ value, text: value }))}
          onChoose={(one) => setShown(one as Shown)}
        />
        <div ref={author}>
          <AuthorField />
        </div>
      </SiteTitle>
      <Line>
        <AwayLine />
        <span>
          {states.seen.toLocaleString('en')} of {all.length.toLocaleString('en')} points seen
          {states.inOne > 0 && `, ${states.inOne.toLocaleString('en')} more in one view`}
        </span>
        {points.without.length > 0 && (
          <span
            title={points.without
              .slice(0, 5)
              .map(({ why }) => why)
              .join('; ')}
          >
            {points.without.length} {points.without.length === 1 ? 'lane gives' : 'lanes give'} none yet:{' '}
            {points.without[0]!.why}
          </span>
        )}
        {gone.length > 0 && (
          <span>
            {gone.length === 1 ? 'one record is' : `${gone.length} records are`} of points that are no longer there:{' '}
            {gone[0]!.name}, {gone[0]!.result} {formatWhenShort(gone[0]!.at)}
          </span>
        )}
      </Line>
      {as === 'how far it is' ? (
        <Scroll>
          <ProgressTable project={project} points={all} states={states} />
        </Scroll>
      ) : (
        <ListAndOne
          least={440}
          oneFirst
          list={
            <>
              <WhichMovedForm project={project} points={all} onGo={go} />
              {list.length === 0 ? (
                <Empty>
                  <p>{all.length === 0 ? 'Points follow from lanes: there is none yet.' : 'No point is so.'}</p>
                  {all.length > 0 && <TextButton onPress={() => setShown('all')}>Show all</TextButton>}
                </Empty>
              ) : (
                <Grid
                  label="Points"
                  main
                  columns={POINT_COLUMNS}
                  rows={grid}
                  onEdit={() => undefined}
                  goTo={current ? { row: current.key, column: 0, token: current.key } : null}
                  onCursor={({ row }) => row !== at && go(row)}
                />
              )}
            </>
          }
          one={
            current && (
              <PointPanel
                key={current.key}
                project={project}
                point={current}
                standing={states.of(current)}
                looks={looks}
                onLooks={setLooks}
                onSay={say}
                onRunning={() => isNamed() && dispatch(sayRunning(current))}
              />
            )
          }
        />
      )}
    </Page>
  );

  /** Nothing is said without a name: it is asked for. */
  function isNamed(): boolean {
    if (currentAuthor() !== '') return true;
    dispatch(projectSlice.actions.noticed('Who saw it? Type your name once; it stands beside all that you say.'));
    author.current?.querySelector('input')?.focus();
    return false;
  }
  /** The next one in the list that is to be done still, after the one that was just said. */
  function nextToDo(from: number): string | null {
    const after = [...list.slice(from + 1), ...list.slice(0, from)];
    return after.find((point) => isToDo(states.of(point), looks))?.key ?? null;
  }
}
