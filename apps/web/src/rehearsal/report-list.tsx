import type { FoldedLanes } from '@dialoga/core/rehearse';
import { Link, useParams } from 'react-router';
import styled from 'styled-components';
import { linkToLane } from '../findings/link';
import { colour, space } from '../theme/tokens';

const List = styled.ul`
  padding: 0;
  list-style: none;
  li {
    display: grid;
    grid-template-columns: minmax(220px, 1fr) minmax(0, 2fr);
    gap: ${space[1]}px ${space[5]}px;
    padding: ${space[2]}px 0;
    border-bottom: 1px solid ${colour.hairline};
  }
  small {
    display: block;
    color: ${colour.ink2};
    font-size: inherit;
  }
  p {
    font-variant-numeric: tabular-nums;
  }
`;

const SHOWN = 3;

/** Lanes that did not come through, each with what a person would see, and the way to its row. */
export function ReportList({ report }: { report: readonly FoldedLanes[] }) {
  const { project = '' } = useParams();
  return (
    <List>
      {report.map(({ exchange, name, lanes, failed, words }) => (
        <li key={`${exchange} ${lanes[0]!.id}`}>
          <div>
            {lanes.slice(0, SHOWN).map((lane, i) => (
              <span key={lane.id}>
                {i > 0 && ', '}
                <Link to={linkToLane(project, exchange, lane.id)}>{lane.name}</Link>
              </span>
            ))}
            {lanes.length > SHOWN && ` and ${lanes.length - SHOWN} more`}
            <small>
              <Link to={`/p/${project}/rehearsal/${exchange}`}>{name}</Link>
              {!failed && ', could not be walked'}
            </small>
          </div>
          <div>
            {words.map((sentence) => (
              <p key={sentence}>{sentence}</p>
            ))}
          </div>
        </li>
      ))}
    </List>
  );
}
