import { memo, useState } from 'react';
import { Link, NavLink, useLocation, useParams } from 'react-router';
import styled from 'styled-components';
import { tallyOf } from '@dialoga/core/check';
import { Counts } from '../marks/counts';
import { useCounting } from '../store/checked';
import { placeOf } from '../store/place';
import { redo, undo } from '../store/editing';
import { useAppDispatch, useStateOf } from '../store/store';
import { TextButton } from '../theme/parts';
import { chooseTheme, currentTheme } from '../theme/theme';
import { colour, font, space } from '../theme/tokens';
import { FindBox } from './find-box';
import { Waiting } from './waiting';

const Bar = styled.header`
  display: flex;
  align-items: stretch;
  gap: ${space[6]}px;
  padding: 0 ${space[4]}px;
  border-bottom: 1px solid ${colour.edge};
  > * {
    display: flex;
    align-items: center;
  }
  @media (max-width: 1100px) {
    gap: ${space[4]}px;
  }
  @media (max-width: 820px) {
    gap: ${space[3]}px;
  }
`;

const Name = styled(NavLink)`
  flex: 0 1 auto;
  min-width: 120px;
  @media (max-width: 820px) {
    min-width: 96px;
  }
  font: 600 16px/1 ${font.serif};
  text-decoration: none;
  span {
    overflow: hidden;
    white-space: nowrap;
    text-overflow: ellipsis;
    padding: 3px 0;
  }
`;

const Steps = styled.nav`
  gap: ${space[6]}px;
  @media (max-width: 1100px) {
    gap: ${space[4]}px;
  }
  @media (max-width: 820px) {
    gap: ${space[3]}px;
  }
  a {
    display: flex;
    align-items: center;
    height: 100%;
    text-decoration: none;
    border-bottom: 2px solid transparent;
    border-top: 2px solid transparent;
  }
  a.active {
    font-weight: 600;
    border-bottom-color: ${colour.ink};
  }
`;

const Finding = styled.div`
  flex: 0 1 190px;
  min-width: 96px;
  @media (max-width: 820px) {
    min-width: 72px;
  }
  margin-left: auto;
`;

const Right = styled.div`
  flex: none;
  gap: ${space[4]}px;
  @media (max-width: 1100px) {
    gap: ${space[3]}px;
  }
  /* All of these are in the find box, too. */
  @media (max-width: 940px) {
    > button,
    > a:not(:last-child) {
      display: none;
    }
  }
`;

const TallyLink = styled(NavLink)`
  height: 100%;
  display: flex;
  align-items: center;
  padding: 0 ${space[3]}px;
  text-decoration: none;
  border-bottom: 2px solid transparent;
  border-top: 2px solid transparent;
  &.active {
    border-bottom-color: ${colour.ink};
  }
`;

/** Pages that belong to the step Stations and have an address of their own. */
const STATION_PAGES = /\/(owner-map|profiles|hardware-list)$/;

/** The same of the step Site. */
const SITE_PAGES = /\/symptoms(\/|$)/;

/** The project's name, the steps of the work, undo and redo, and the tally of findings. */
export function TopBar() {
  const { project: id = '' } = useParams();
  const { pathname } = useLocation();
  return (
    <Bar>
      <ProjectName id={id} />
      <Steps aria-label="Steps">
        <NavLink
          to={`/p/${id}/stations`}
          {...(STATION_PAGES.test(pathname) ? { className: 'active', 'aria-current': 'page' } : {})}
        >
          Stations
        </NavLink>
        <NavLink to={`/p/${id}/wiring`}>Wiring</NavLink>
        <NavLink to={`/p/${id}/routes`}>Routes</NavLink>
        <NavLink to={`/p/${id}/exchanges`}>Exchanges</NavLink>
        <NavLink to={`/p/${id}/tags`}>Tags</NavLink>
        <NavLink to={`/p/${id}/rehearsal`}>Rehearsal</NavLink>
        <NavLink
          to={`/p/${id}/site`}
          {...(SITE_PAGES.test(pathname) ? { className: 'active', 'aria-current': 'page' } : {})}
        >
          Site
        </NavLink>
      </Steps>
      <Finding>
        <FindBox />
      </Finding>
      <Right>
        <Waiting />
        <UndoAndRedo />
        <ThemeButton />
        <NavLink to={`/p/${placeOf(id).id}/history`}>History</NavLink>
        <Link to="/">Projects</Link>
        <TallyOfAll id={id} />
      </Right>
    </Bar>
  );
}

// Each part below knows as little as it needs, so that an edit draws only those anew that it changes.

const ProjectName = memo(function ProjectName({ id }: { id: string }) {
  const name = useStateOf((s) => s.project.project?.info.name);
  return (
    <Name to={`/p/${id}/overview`} title={name} end>
      <span dir="auto">{name ?? 'Dialoga'}</span>
    </Name>
  );
});

const UndoAndRedo = memo(function UndoAndRedo() {
  const dispatch = useAppDispatch();
  const undoable = useStateOf((s) => s.project.undo.length > 0);
  const redoable = useStateOf((s) => s.project.redo.length > 0);
  return (
    <>
      <TextButton isDisabled={!undoable} onPress={() => dispatch(undo())} aria-keyshortcuts="Control+Z">
        Undo
      </TextButton>
      <TextButton isDisabled={!redoable} onPress={() => dispatch(redo())} aria-keyshortcuts="Control+Y">
        Redo
      </TextButton>
    </>
  );
});

const ThemeButton = memo(function ThemeButton() {
  const [theme, setTheme] = useState(currentTheme);
  const other = theme === 'light' ? 'dark' : 'light';
  return (
    <TextButton
      aria-label={`Use the ${other} theme`}
      onPress={() => {
        chooseTheme(other);
        setTheme(other);
      }}
    >
      {other === 'dark' ? 'Dark' : 'Light'}
    </TextButton>
  );
});

const TallyOfAll = memo(function TallyOfAll({ id }: { id: string }) {
  const ready = useStateOf((s) => s.findings.ready);
  const open = useStateOf((s) => s.project.status === 'loading' || s.project.status === 'ready');
  const tally = tallyOf(useCounting());
  const words = `${tally.blocker} Blockers, ${tally.doubt} Doubts, ${tally.hint} Hints`;
  return (
    <TallyLink
      to={`/p/${id}/findings`}
      aria-label={ready ? `Findings: ${words}` : open ? 'Findings: checking' : 'Findings: not known'}
    >
      {ready ? <Counts tally={tally} all /> : open ? 'checking …' : '–'}
    </TallyLink>
  );
});
