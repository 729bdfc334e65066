import type { ReactNode } from 'react';
import { NavLink, useParams } from 'react-router';
import styled from 'styled-components';
import { PageTitle } from '../theme/parts';
import { colour, size, space } from '../theme/tokens';

const Parts = styled.nav`
  display: flex;
  gap: ${space[5]}px;
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
  gap: ${space[4]}px;
  align-items: baseline;
  margin-left: auto;
`;

/** The head of the step Site: its parts, each with what is left to do there. */
export function SiteTitle({ toDecide, children }: { toDecide: number | null; children?: ReactNode }) {
  const { project = '' } = useParams();
  return (
    <PageTitle>
      <h1>Site</h1>
      <Parts aria-label="Parts of the work on site">
        <NavLink to={`/p/${project}/site`} end>
          Survey {toDecide !== null && <small>{toDecide} to decide</small>}
        </NavLink>
        <NavLink to={`/p/${project}/symptoms`}>Symptoms</NavLink>
      </Parts>
      <Rest>{children}</Rest>
    </PageTitle>
  );
}
