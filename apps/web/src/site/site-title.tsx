import { temporaryThings } from '@dialoga/core/temporary';
import { useMemo, type ReactNode } from 'react';
import { NavLink, useParams } from 'react-router';
import styled from 'styled-components';
import { useStateOf } from '../store/store';
import { PageTitle } from '../theme/parts';
import { colour, size, space } from '../theme/tokens';
import { useSurvey } from './use-survey';
import { useWork } from './use-work';

const Title = styled(PageTitle)`
  flex-wrap: wrap;
  h1 {
    flex: none;
  }
`;

const Parts = styled.nav`
  display: flex;
  gap: ${space[5]}px;
  white-space: nowrap;
  a {
    padding-bottom: ${space[1]}px;
    border-bottom: 2px solid transparent;
    text-decoration: none;
  }
  a.active {
    border-bottom-color: ${colour.ink};
    font-weight: 600;
  }
  small {
    color: ${colour.ink2};
    font-size: ${size.data}px;
    font-weight: 400;
  }
`;

const Rest = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${space[2]}px ${space[4]}px;
  align-items: baseline;
  margin-left: auto;
  @media (max-width: 1100px) {
    margin-left: 0;
  }
`;

/** The head of the step Site: its parts, each with what is left to do there. */
export function SiteTitle({ children }: { children?: ReactNode }) {
  const { project = '' } = useParams();
  const survey = useSurvey();
  const work = useWork();
  const shown = useStateOf((s) => s.project.project);
  const temporary = useMemo(() => (shown ? temporaryThings(shown).length : 0), [shown]);
  const at = (path: string) => `/p/${project}/${path}`;
  return (
    <Title>
      <h1>Site</h1>
      <Parts aria-label="Parts of the work on site">
        <NavLink to={at('site')} end>
          Survey {survey && <small>{survey.toDecide} to decide</small>}
        </NavLink>
        <NavLink to={at('site/work')}>
          Order of work{' '}
          {work && (
            <small>
              {work.steps.length - work.left} of {work.steps.length} done
            </small>
          )}
        </NavLink>
        <NavLink to={at('site/points')}>Point tests</NavLink>
        <NavLink to={at('site/temporary')}>Temporary {temporary > 0 && <small>{temporary} to undo</small>}</NavLink>
        <NavLink to={at('symptoms')}>Symptoms</NavLink>
      </Parts>
      <Rest>{children}</Rest>
    </Title>
  );
}
