import type { Tally } from '@dialoga/core/check';
import { SEVERITIES } from '@dialoga/core/finding';
import styled from 'styled-components';
import { space } from '../theme/tokens';
import { SEVERITY_WORDS, SeverityMark } from './severity-mark';

const Row = styled.span`
  display: inline-flex;
  gap: ${space[3]}px;
  align-items: center;
  white-space: nowrap;
  span {
    display: inline-flex;
    gap: ${space[2]}px;
    align-items: center;
  }
`;

/** How many of each severity; those that are none are left out unless all are to be shown. */
export function Counts({ tally, all = false }: { tally: Tally; all?: boolean }) {
  return (
    <Row>
      {SEVERITIES.filter((s) => all || tally[s] > 0).map((severity) => (
        <span key={severity} title={`${tally[severity]} ${SEVERITY_WORDS[severity][tally[severity] === 1 ? 0 : 1]}`}>
          <SeverityMark severity={severity} />
          {tally[severity]}
        </span>
      ))}
    </Row>
  );
}
