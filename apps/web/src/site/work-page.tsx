import { isSettled, tickStep, untick, type PlacedStep, type Said } from '@dialoga/core/work';
import { useState } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import styled from 'styled-components';
import { currentAuthor } from '../api/author';
import { newId } from '../api/new-id';
import { Choice } from '../forms/choice';
import { Grid } from '../grid/grid';
import type { GridColumn } from '../grid/types';
import { edit } from '../store/editing';
import { projectSlice } from '../store/project-slice';
import { useAppDispatch, useStateOf } from '../store/store';
import { colour, space } from '../theme/tokens';
import { ListAndOne } from './list-and-one';
import { LoadAgain } from './load-again';
import { SiteTitle } from './site-title';
import { StepReason, type Asked } from './step-reason';
import { StepPanel } from './step-panel';
import { symptomOfStep } from './symptom-of-step';
import { useWork } from './use-work';
import { workRows } from './work-rows';

const COLUMNS: readonly GridColumn[] = [
  { id: 'number', title: 'Step', track: '56px', right: true },
  { id: 'what', title: 'What is done', track: 'minmax(280px, 2.2fr)' },
  { id: 'after', title: 'After', track: 'minmax(110px, 0.8fr)' },
  { id: 'by', title: 'By', track: 'minmax(130px, 0.9fr)' },
];

const Notes = styled.ul`
  margin: 0;
  padding: ${space[3]}px ${space[4]}px;
  list-style: none;
  border-bottom: 1px solid ${colour.hairline};
`;

const SHOWN = ['all steps', 'what can be done now', 'what is left'] as const;
type Shown = (typeof SHOWN)[number];

const KEYS: Readonly<Record<string, Said['state']>> = { y: 'done', n: 'failed', s: 'skipped' };

/** What is to be done on site, each step with why it comes after which, what it needs, does and proves. */
export function WorkPage() {
  const { project: projectId = '' } = useParams();
  const project = useStateOf((s) => s.project.project)!;
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const work = useWork();
  const [shown, setShown] = useState<Shown>('all steps');
  const [who, setWho] = useState('');
  const [layers, setLayers] = useState(false);
  const [search, setSearch] = useSearchParams();
  const at = search.get('step') ?? '';
  const [asking, setAsking] = useState<Asked | null>(null);
  const all = work?.steps ?? [];
  const people = [...new Set(all.map((step) => step.who).filter((name) => name !== ''))];
  const steps = all.filter(
    (step) =>
      (who === '' || step.who === who) &&
      (shown === 'all steps' || (!isSettled(step) && (shown === 'what is left' || step.ready))),
  );
  // Where the list is another one, its cursor is brought into sight again.
  const [opened] = useState(at);
  const list = `${who} ${shown} ${layers}`;
  const goTo = { row: at || (steps[0]?.key ?? ''), column: 1, token: list === ' all steps false' ? opened : list };
  const current = all.find(({ key }) => key === at) ?? steps[0];
  return (
    <>
      <SiteTitle>
        <Choice
          label="Of"
          value={who}
          options={[{ value: '', text: 'everybody' }, ...people.map((name) => ({ value: name, text: name }))]}
          onChoose={setWho}
        />
        <Choice
          label="Show"
          value={shown}
          options={SHOWN.map((value) => ({ value, text: value }))}
          onChoose={(one) => setShown(one as Shown)}
        />
        <Choice
          label="As"
          value={layers ? 'layers' : 'list'}
          options={[
            { value: 'list', text: 'a list' },
            { value: 'layers', text: 'what goes at the same time' },
          ]}
          onChoose={(one) => setLayers(one === 'layers')}
        />
        <Link to={`/p/${projectId}/site/work/print`}>Print</Link>
      </SiteTitle>
      {work && work.closed.length > 0 && (
        <Notes aria-label="What closes on itself">
          {work.closed.map((circle, i) => (
            <li key={i}>
              The order closes on itself:{' '}
              {circle
                .map(({ key, why }) => `${all.find((step) => step.key === key)?.what ?? key} (then: ${why})`)
                .join(' → ')}
            </li>
          ))}
        </Notes>
      )}
      {work && work.again.length > 0 && <LoadAgain again={work.again} />}
      <ListAndOne
        least={340}
        list={
          <Grid
            label="Order of work"
            main
            columns={COLUMNS}
            rows={workRows(steps, all, layers)}
            onEdit={() => undefined}
            goTo={work && goTo.token !== '' ? goTo : null}
            onCursor={({ row }) => setSearch({ step: row }, { replace: true })}
            onKey={(event, { row }) => {
              const step = all.find(({ key }) => key === row);
              if (!step || event.ctrlKey || event.altKey || event.metaKey) return false;
              const state = KEYS[event.key.toLowerCase()];
              if (state) tick(step, state);
              return state !== undefined;
            }}
          />
        }
        one={
          current && (
            <StepPanel
              step={current}
              all={all}
              onTick={(state) => tick(current, state)}
              onAgain={() => dispatch(edit(`Step again: ${current.what}`, untick(current)))}
            />
          )
        }
      />
      {asking && (
        <StepReason asked={asking} onClose={() => setAsking(null)} onSaid={(said) => say(asking.step, said)} />
      )}
    </>
  );

  function tick(step: PlacedStep, state: Said['state']) {
    if (state === 'done') return say(step, { state, reason: '' });
    setAsking({ step, state, why: '' });
  }
  function say(step: PlacedStep, said: Pick<Said, 'state' | 'reason'> & { by?: string; before?: boolean }) {
    const about = { by: currentAuthor(), at: new Date().toISOString(), ...said };
    const ticked = tickStep(project, work!, step.key, about, newId);
    if (!ticked.ok) {
      if (ticked.early && !said.before) setAsking({ step, state: 'done', why: ticked.sentence });
      else dispatch(projectSlice.actions.noticed(ticked.sentence));
      return;
    }
    setAsking(null);
    dispatch(
      edit(
        `${said.state === 'done' ? 'Done' : said.state === 'failed' ? 'Failed' : 'Skipped'}: ${step.what}`,
        ticked.changes,
      ),
    );
    if (said.state === 'failed')
      void navigate(`/p/${projectId}/symptoms/${symptomOfStep(project, step)}?at=${step.station}`);
  }
}
