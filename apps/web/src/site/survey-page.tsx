import type { FoundDevice, Project } from '@dialoga/core/model';
import { adopt, adoptLearnt, correct, notOurs, together, type Surveyed } from '@dialoga/core/survey';
import { dropWithDependents, set, type Change } from '@dialoga/core/change';
import { useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { currentAuthor } from '../api/author';
import { newId } from '../api/new-id';
import { AuthorField } from '../history/author-field';
import { Grid } from '../grid/grid';
import type { CellAt, GridColumn } from '../grid/types';
import { edit } from '../store/editing';
import { projectSlice } from '../store/project-slice';
import { useAppDispatch, useStateOf } from '../store/store';
import { BoxButton, Empty, TextButton } from '../theme/parts';
import { AskQuestion } from './ask-question';
import { OwnComputers } from './own-computers';
import { SiteTitle } from './site-title';
import { surveyRows, type Deciding } from './survey-rows';
import { useSurvey } from './use-survey';

const COLUMNS: readonly GridColumn[] = [
  { id: 'found', title: 'Found', names: true, track: 'minmax(120px, 1fr)' },
  { id: 'address', title: 'Address', track: '116px' },
  { id: 'hardware', title: 'Hardware address', track: '140px' },
  { id: 'what', title: 'Type, revision', names: true, track: 'minmax(140px, 1.2fr)' },
  { id: 'state', title: 'State', track: '84px', tone: 'difference' },
  {
    id: 'planned',
    title: 'Planned',
    names: true,
    track: 'minmax(120px, 1fr)',
    page: true,
    help: 'The station that it is taken for; another one can be typed.',
  },
  { id: 'there', title: 'Planned address', track: '116px' },
  { id: 'seen', title: 'Seen', names: true, track: 'minmax(120px, 1fr)' },
];
const PLANNED = 5;

const KEYS: Readonly<Record<string, keyof Deciding>> = { a: 'adopt', c: 'correct', q: 'ask', n: 'notOurs' };

/** What was found on site at the left, what is planned at the right, and what is decided of each. */
export function SurveyPage() {
  const { project: projectId = '' } = useParams();
  const project = useStateOf((s) => s.project.project)!;
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const survey = useSurvey();
  const [asking, setAsking] = useState<Surveyed | null>(null);
  const deciding: Deciding = {
    adopt: (row) => decide('Adopt', row, adopt(project, together(row, all), who())),
    correct: (row) => decide('Correct', row, correct(project, together(row, all), who())),
    ask: setAsking,
    notOurs: (row) => decide('Not ours:', row, notOurs(project, [row], who())),
    again: (row) => step(`Decide ${nameOf(project, row.id)} again`, again(project, together(row, all))),
  };
  const bringIn = () => void navigate(`/p/${projectId}/site/list`);
  const all = survey?.rows ?? [];
  const more = all.filter(({ state, learnt }) => state === 'agrees' && learnt.length > 0).length;
  return (
    <>
      <SiteTitle>
        {more > 0 && (
          <TextButton onPress={() => step(`Add what was learnt of ${more} devices`, adoptLearnt(project, all, who()))}>
            Add to the plan what was learnt of {more}
          </TextButton>
        )}
        <AuthorField />
        {all.length > 0 && <BoxButton onPress={bringIn}>Bring in a list</BoxButton>}
      </SiteTitle>
      <OwnComputers />
      {survey === null ? null : all.length === 0 ? (
        <Empty>
          <p>
            What was found on site is laid beside the plan here: a list of devices as a file, pasted rows, or what a
            command printed of its neighbours. Nothing of the plan is changed before you decide it, row by row.
          </p>
          <BoxButton onPress={bringIn}>Bring in a list</BoxButton>
        </Empty>
      ) : (
        <Grid
          label="Found and planned"
          main
          columns={COLUMNS}
          rows={surveyRows(project, survey, deciding)}
          onEdit={(edits) => edits.forEach(({ row, text }) => name(row, text))}
          onKey={(event, at) => takeKey(event.key, event, at)}
        />
      )}
      {asking && (
        <AskQuestion
          project={project}
          rows={together(asking, all)}
          onClose={() => setAsking(null)}
          by={currentAuthor()}
        />
      )}
    </>
  );

  function who() {
    return { by: currentAuthor(), newId };
  }
  function step(label: string, changes: readonly Change[]) {
    dispatch(edit(label, changes));
  }
  function decide(word: string, row: Surveyed, decided: ReturnType<typeof adopt>) {
    if (decided.ok) step(`${word} ${nameOf(project, row.id)}`, decided.changes);
    else dispatch(projectSlice.actions.noticed(decided.sentence));
  }
  function takeKey(key: string, event: { ctrlKey: boolean; altKey: boolean; metaKey: boolean }, at: CellAt): boolean {
    const row = all.find(({ id }) => id === at.row.split(' ')[0]);
    if (!row || event.altKey || event.metaKey) return false;
    if (event.ctrlKey) {
      if (key !== 'Delete') return false;
      step(`Delete found device ${nameOf(project, row.id)}`, dropWithDependents(project, 'found', row.id));
      return true;
    }
    const what = at.column === PLANNED ? undefined : KEYS[key.toLowerCase()];
    if (what) deciding[what](row);
    return what !== undefined;
  }
  /** The station that a found device is, as typed. */
  function name(row: string, text: string) {
    const found = project.get('found', row);
    const station = [...project.all('station')].find((one) => one.name.toLowerCase() === text.trim().toLowerCase());
    if (!found) return;
    if (!station && text.trim() !== '') {
      dispatch(projectSlice.actions.noticed(`“${text.trim()}” names no station of this project.`));
      return;
    }
    step(`${nameOf(project, row)} is ${station?.name ?? 'not said to be any'}`, [
      set('found', found, ['station'], station?.id ?? null),
    ]);
  }
}

const nameOf = (project: Project, id: string): string => {
  const found: Partial<FoundDevice> = project.get('found', id) ?? {};
  return found.deviceName || found.address || found.hardware || found.type || 'a device';
};

const again = (project: Project, rows: readonly Surveyed[]): Change[] =>
  rows.flatMap(({ id }) => {
    const found = project.get('found', id);
    return found ? [set('found', found, ['decision'], null)] : [];
  });
