import type { Project } from '@dialoga/core/model';
import { progressOf, type Point } from '@dialoga/core/pointtest';
import { useMemo } from 'react';
import styled from 'styled-components';
import { Section } from '../theme/parts';
import { colour, space } from '../theme/tokens';
import type { PointStates } from './use-states';

const Table = styled.table`
  border-spacing: 0;
  margin-bottom: ${space[5]}px;
  th,
  td {
    padding: ${space[2]}px ${space[5]}px ${space[2]}px 0;
    border-bottom: 1px solid ${colour.hairline};
    text-align: left;
    font-weight: 400;
  }
  td {
    text-align: right;
  }
  thead th {
    color: ${colour.ink2};
    border-bottom-color: ${colour.edge};
  }
`;

/** How far the tests are: by exchange, by person, by day. */
export function ProgressTable({
  project,
  points,
  states,
}: {
  project: Project;
  points: readonly Point[];
  states: PointStates;
}) {
  const { exchanges, people, days } = useMemo(() => progressOf(points, states.records), [points, states]);
  return (
    <Section aria-label="How far it is">
      <Table aria-label="By exchange">
        <thead>
          <tr>
            {['Exchange', 'Points', 'Seen', 'Not seen', 'Skipped'].map((title) => (
              <th key={title} scope="col">
                {title}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {exchanges.map(({ exchange, all, seen, notSeen, skipped }) => (
            <tr key={exchange}>
              <th scope="row">{project.get('exchange', exchange)?.name ?? 'Who reaches whom'}</th>
              <td>{all}</td>
              <td>{seen}</td>
              <td>{notSeen}</td>
              <td>{skipped}</td>
            </tr>
          ))}
        </tbody>
      </Table>
      {people.length > 0 && (
        <Table aria-label="By person and by day">
          <thead>
            <tr>
              {['Said', 'Points', 'Records'].map((title) => (
                <th key={title} scope="col">
                  {title}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {[...people, ...days].map(({ of, points: count, records }) => (
              <tr key={of}>
                <th scope="row">{of || 'not named'}</th>
                <td>{count}</td>
                <td>{records}</td>
              </tr>
            ))}
          </tbody>
        </Table>
      )}
    </Section>
  );
}
