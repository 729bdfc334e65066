import { lazy, Suspense, useEffect } from 'react';
import { Outlet, useLocation, useNavigate, useParams } from 'react-router';
import styled from 'styled-components';
import { usePinned } from '../findings/pinned';
import { PinnedList } from '../findings/pinned-list';
import { askFrom } from '../page/ask-path';
import { redo, undo } from '../store/editing';
import { openProject } from '../store/opening';
import { happen } from '../store/happen';
import { useAppDispatch, useStateOf } from '../store/store';
import { Empty } from '../theme/parts';
import { ConflictDialog } from './conflict-dialog';
import { DropDialog } from './drop-dialog';
import { FindingLine } from './finding-line';
import { KeysDialog } from './keys-dialog';
import { useKeys } from '../page/keys';
import { Notice } from './notice';
import { NothingHere } from '../page/nothing-here';
import { PastLine } from './past-line';
import { ServerAway } from './server-away';
import { TopBar } from './top-bar';
import { useDeadLink } from './use-dead-link';
import { useDropped } from '../grid/dropped';
import { projectSlice } from '../store/project-slice';
import { useEvents } from './use-events';
import { useLab } from '../lab/open-lab';

const ValueLab = lazy(async () => ({ default: (await import('../lab/value-lab')).ValueLab }));

const Screen = styled.div`
  display: grid;
  grid-template: 40px minmax(0, 1fr) auto 28px / minmax(0, 1fr);
  height: 100%;
  min-width: 0;
  @media print {
    display: block;
    height: auto;
    > :not(:has(main)) {
      display: none;
    }
  }
`;

const Middle = styled.div<{ $beside: boolean }>`
  display: grid;
  grid-template-columns: minmax(0, 1fr) ${({ $beside }) => ($beside ? '420px' : '')};
  min-height: 0;
  @media print {
    display: block;
  }
`;

const Main = styled.main`
  display: flex;
  flex-direction: column;
  min-height: 0;
  overflow: hidden;
  /* At 200 % on a common screen: the work scrolls sideways under a frame that stays. What is made for the hand fits. */
  @media (max-width: 900px) {
    overflow-x: auto;
    > :not([data-fits]) {
      min-width: 900px;
    }
  }
  @media print {
    display: block;
    overflow: visible;
  }
`;

/** What stands around every screen of a project. */
export function Frame() {
  const { project: id = '' } = useParams();
  const { pathname: page } = useLocation();
  const navigate = useNavigate();
  const dispatch = useAppDispatch();
  const { status, error, project } = useStateOf((s) => s.project);
  const name = project?.info.name;

  useEffect(() => {
    dispatch(openProject(id));
    const online = () => dispatch(happen({ what: 'again' }));
    const leaving = () => dispatch(happen({ what: 'leaving' }));
    window.addEventListener('online', online);
    window.addEventListener('pagehide', leaving);
    return () => {
      window.removeEventListener('online', online);
      window.removeEventListener('pagehide', leaving);
      dispatch(happen({ what: 'closed' }));
    };
  }, [id, dispatch]);

  useEffect(() => {
    document.title = name ? `${name} · Dialoga` : 'Dialoga';
  }, [name]);

  useEvents();
  useDeadLink();
  const { pinned } = usePinned();
  const lab = useLab();
  const asked = status === 'ready' ? lab.begin : null;

  useKeys((event) => {
    if (!event.altKey || event.ctrlKey || event.key.toLowerCase() !== 'r' || !project) return;
    event.preventDefault();
    void navigate(askFrom(project, id, page));
  });

  useKeys((event) => {
    if (!event.ctrlKey && !event.metaKey) return;
    const key = event.key.toLowerCase();
    if (key === 'z' && !event.shiftKey) dispatch(undo());
    else if (key === 'y' || (key === 'z' && event.shiftKey)) dispatch(redo());
    else return;
    event.preventDefault();
  });

  // A file that is dropped beside a table would make the browser leave the page.
  const beside = useDropped<HTMLElement>(() =>
    dispatch(
      projectSlice.actions.noticed('Drop a list on a table, or on a field that asks for one. Nothing was changed.'),
    ),
  );

  return (
    <Screen>
      <TopBar />
      <Middle $beside={pinned || asked !== null}>
        <Main {...beside}>
          <PastLine />
          {status === 'loading' && (
            <Empty role="status">
              <h1>Opening the project …</h1>
            </Empty>
          )}
          {status === 'waiting' && <ServerAway project={id} what={error ?? ''} />}
          {status === 'failed' && <NothingHere what={error ?? 'The project cannot be opened.'} />}
          {status === 'ready' && <Outlet />}
        </Main>
        {pinned && asked === null && status === 'ready' && <PinnedList />}
        {asked && (
          <Suspense fallback={<aside />}>
            <ValueLab key={asked.token} begin={asked} onClose={lab.close} />
          </Suspense>
        )}
      </Middle>
      <Notice />
      <FindingLine />
      <ConflictDialog />
      <DropDialog />
      <KeysDialog />
    </Screen>
  );
}
