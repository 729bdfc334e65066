import { textOf } from './text-of';
import type { Finding } from '@dialoga/core/finding';
import styled from 'styled-components';
import { SeverityMark } from '../marks/severity-mark';
import { useStateOf } from '../store/store';
import { colour, size, space } from '../theme/tokens';
import { Says } from './says';

const Entry = styled.article`
  padding: ${space[3]}px 0;
  border-top: 1px solid ${colour.hairline};
  small {
    color: ${colour.ink2};
    font-size: ${size.data}px;
  }
`;

/** A finding as prose: what each end says, why it matters, what to do, the rule and its source. */
export function FindingExplained({ finding }: { finding: Finding }) {
  const project = useStateOf((s) => s.project.project);
  const { says, consequence, remedy, title, source } = textOf(finding);
  return (
    <Entry>
      <p>
        <SeverityMark severity={finding.severity} /> <strong>{finding.code}</strong> · {title}
      </p>
      {says.map((pieces, i) => (
        <p key={i} dir="auto">
          {project?.get('station', finding.parties[i]?.station ?? '')?.name ?? finding.about.name}:{' '}
          <Says pieces={pieces} />
        </p>
      ))}
      <p dir="auto">
        {consequence} {remedy}
      </p>
      <small>Source: {source}</small>
    </Entry>
  );
}
