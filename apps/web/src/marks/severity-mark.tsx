import type { Severity } from '@dialoga/core/finding';
import styled from 'styled-components';
import { colour, font } from '../theme/tokens';

export const SEVERITY_WORDS: Record<Severity, readonly [string, string]> = {
  blocker: ['Blocker', 'Blockers'],
  doubt: ['Doubt', 'Doubts'],
  hint: ['Hint', 'Hints'],
};

const Box = styled.span<{ $severity: Severity }>`
  display: inline-flex;
  flex: none;
  width: 16px;
  height: 16px;
  align-items: center;
  justify-content: center;
  font: 600 11px/1 ${font.sans};
  border: 1px solid ${({ $severity }) => ($severity === 'hint' ? 'transparent' : colour.ink)};
  border-bottom: ${({ $severity }) => ($severity === 'hint' ? `2px dotted ${colour.ink}` : `1px solid ${colour.ink}`)};
  background: ${({ $severity }) => ($severity === 'blocker' ? colour.ink : 'transparent')};
  color: ${({ $severity }) => ($severity === 'blocker' ? colour.paper : colour.ink)};
`;

/** Blocker a filled box, Doubt an outlined one, Hint a letter on a dotted line. */
export function SeverityMark({ severity }: { severity: Severity }) {
  return (
    <Box $severity={severity} role="img" aria-label={SEVERITY_WORDS[severity][0]}>
      <span aria-hidden>{severity[0]!.toUpperCase()}</span>
    </Box>
  );
}
