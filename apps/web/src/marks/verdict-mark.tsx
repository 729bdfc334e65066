import type { Verdict } from '@dialoga/core/lane';
import styled from 'styled-components';
import { colour } from '../theme/tokens';

const Svg = styled.svg`
  flex: none;
  vertical-align: -1px;
  margin-right: 4px;
  stroke: ${colour.ink};
  stroke-width: 1.75;
  fill: none;
`;

/** Which of the two strokes is solid, dashed or dotted; upper for the left end, lower for the right. */
const STROKES: Record<Verdict, readonly [string, string]> = {
  agreed: ['', ''],
  differs: ['', ''],
  'one-sided': ['', '1.5 2'],
  described: ['', '4 2'],
  unchecked: ['1.5 2', '1.5 2'],
};

export const VERDICT_WORDS: Record<Verdict, string> = {
  agreed: 'agreed',
  differs: 'differs',
  'one-sided': 'one-sided',
  described: 'described',
  unchecked: 'unchecked',
};

interface Props {
  verdict: Verdict;
  /** the end that is not filled in is the left one: then the upper stroke is the dotted one */
  leftEmpty?: boolean;
  /** without a word beside it, it needs one of its own */
  alone?: boolean;
}

export function VerdictMark({ verdict, leftEmpty = false, alone = false }: Props) {
  const [a, b] = STROKES[verdict];
  const [upper, lower] = leftEmpty ? [b, a] : [a, b];
  const name = alone ? { role: 'img', 'aria-label': VERDICT_WORDS[verdict] } : { 'aria-hidden': true };
  return (
    <Svg width="14" height="12" viewBox="0 0 14 12" {...name}>
      <path d="M1 4h12" strokeDasharray={upper} />
      <path d="M1 8h12" strokeDasharray={lower} />
      {verdict === 'differs' && <path d="M4.5 11.5l5-11" />}
    </Svg>
  );
}
