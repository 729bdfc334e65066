import { lazy, Suspense, useEffect, useState } from 'react';
import { FileTrigger } from 'react-aria-components';
import { Link, useNavigate } from 'react-router';
import styled from 'styled-components';
import { api, type ProjectSummary } from '../api/client';
import { openDemo } from '../api/open-demo';
import { listErrorOf, lists, useProjectsQuery, type ListError } from '../api/lists';
import { Counts } from '../marks/counts';
import { useAppDispatch } from '../store/store';
import { BoxButton, Empty, PageTitle, Section, TextButton } from '../theme/parts';
import { colour, font, space } from '../theme/tokens';
import { formatWhen } from '../words/when';
import { BeginProject } from './begin-project';
import { JobDialog } from './job-dialog';

const Page = styled.main`
  height: 100%;
  overflow: auto;
`;

const List = styled.ul`
  max-width: 980px;
  li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 170px 130px auto;
    gap: ${space[5]}px;
    align-items: center;
    min-height: 36px;
    border-bottom: 1px solid ${colour.hairline};
  }
  a {
    font: 600 16px/1.4 ${font.serif};
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
`;

const Actions = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${space[4]}px;
  align-items: center;
  margin: ${space[5]}px 0;
  form {
    display: flex;
    gap: ${space[3]}px;
    min-width: 370px;
    min-height: 28px;
  }
  input[type='text'] {
    width: 260px;
  }
`;

const Problems = styled.div`
  max-width: 980px;
  padding: ${space[3]}px ${space[4]}px;
  border-left: 4px solid ${colour.differs};
  background: ${colour.sheet};
  li {
    font-family: ${font.code};
    font-size: 12px;
    overflow-wrap: anywhere;
  }
`;

// It brings the form package, which the list of projects does not need.
const NameDialog = lazy(async () => ({ default: (await import('./name-dialog')).NameDialog }));

const RETRY_MS = 2000;

const isListError = (error: unknown): error is ListError =>
  typeof error === 'object' && error !== null && 'away' in error;

/** All projects of this server: open, begin, bring in, delete. */
export function ProjectsPage() {
  const navigate = useNavigate();
  const dispatch = useAppDispatch();
  const [waiting, setWaiting] = useState(false);
  const { data: projects = null, error } = useProjectsQuery(undefined, {
    refetchOnMountOrArgChange: true,
    // The list comes by itself once the server answers.
    pollingInterval: waiting ? RETRY_MS : 0,
  });
  const away = projects === null && isListError(error) && error.away;
  if (away !== waiting) setWaiting(away);
  const [refused, setProblem] = useState<ListError | null>(null);
  const problem = refused ?? (isListError(error) ? error : null);
  const [deleting, setDeleting] = useState<ProjectSummary | null>(null);
  const [copying, setCopying] = useState<ProjectSummary | null>(null);
  const [job, setJob] = useState<{ title: string; start: () => Promise<{ job: string }> } | null>(null);
  const [renaming, setRenaming] = useState<ProjectSummary | null>(null);

  const failed = (reason: unknown) => setProblem(listErrorOf(reason));
  const changed = () => dispatch(lists.util.invalidateTags(['projects']));

  useEffect(() => {
    document.title = 'Projects · Dialoga';
  }, []);

  const opened = (summary: Promise<ProjectSummary>, at: 'exchanges' | 'begin' = 'exchanges') =>
    summary.then((p) => navigate(`/p/${p.id}/${at}`)).catch(failed);

  return (
    <Page>
      <PageTitle>
        <h1>Dialoga</h1>
        <p>Both ends of every data exchange, side by side and checked.</p>
      </PageTitle>
      <Section>
        <h2>Projects</h2>
        {projects === null && !problem && <Empty role="status">Asking the server …</Empty>}
        {projects?.length === 0 && (
          <Empty>
            No project yet. Begin one, import a project file, or open the demo: a cold store whose five suppliers’
            controls do not quite agree.
          </Empty>
        )}
        <List>
          {projects?.map((p) => (
            <li key={p.id}>
              <Link to={`/p/${p.id}/exchanges`} title={p.name} dir="auto">
                {p.name || 'Project without a name'}
              </Link>
              <span>changed {formatWhen(p.changed)}</span>
              {p.tally ? <Counts tally={p.tally} all /> : <span>checking …</span>}
              <span>
                <a href={api.fileAddress(p.id)} download style={{ font: 'inherit' }}>
                  Export
                </a>
                <TextButton aria-label={`Rename ${p.name}`} onPress={() => setRenaming(p)}>
                  Rename
                </TextButton>
                <TextButton aria-label={`Copy ${p.name}`} onPress={() => setCopying(p)}>
                  Copy
                </TextButton>
                <TextButton aria-label={`Delete ${p.name}`} onPress={() => setDeleting(p)}>
                  Delete
                </TextButton>
              </span>
            </li>
          ))}
        </List>
        <Actions>
          <BeginProject
            away={away}
            onName={(name) => void opened(api.create(name), 'begin')}
            onRefused={(message) => setProblem({ message, lines: [], away: false })}
          />
          <BoxButton onPress={() => void opened(openDemo())}>Open the demo</BoxButton>
          <FileTrigger
            acceptedFileTypes={['.json']}
            onSelect={(files) => {
              const file = files?.[0];
              if (file) setJob({ title: `Bringing in ${file.name}`, start: () => api.importFile(file) });
            }}
          >
            <BoxButton>Import project file</BoxButton>
          </FileTrigger>
        </Actions>
        {problem && (
          <Problems role="alert">
            <p>{problem.message}</p>
            <ul>
              {problem.lines.map((line) => (
                <li key={line}>{line}</li>
              ))}
            </ul>
          </Problems>
        )}
      </Section>
      <Suspense>
        {renaming && (
          <NameDialog
            title={`Rename ${renaming.name}`}
            label="New name"
            initial={renaming.name}
            action="Rename"
            onName={(typed) => api.rename(renaming.id, typed)}
            onClose={(done) => {
              setRenaming(null);
              if (done) changed();
            }}
          />
        )}
        {copying && (
          <NameDialog
            title={`Copy ${copying.name}`}
            text="The copy has everything as it stands now; its history begins anew."
            label="Name of the copy"
            initial={`${copying.name}, copy`}
            action="Copy"
            onName={async (typed) => {
              const { id } = copying;
              setJob({ title: `Copying ${copying.name}`, start: () => api.copy(id, typed) });
            }}
            onClose={() => setCopying(null)}
          />
        )}
        {deleting && (
          <NameDialog
            title={`Delete ${deleting.name}`}
            text="The project and its history are deleted permanently. Type its name to delete it."
            label="Name of the project"
            initial=""
            action="Delete"
            onName={(typed) => api.remove(deleting.id, typed)}
            onClose={(done) => {
              setDeleting(null);
              if (done) changed();
            }}
          />
        )}
      </Suspense>
      {job && (
        <JobDialog
          title={job.title}
          start={job.start}
          onDone={(project) => void navigate(`/p/${project}/exchanges`)}
          onClose={() => setJob(null)}
        />
      )}
    </Page>
  );
}
