import { textOf } from './text-of';
import type { Finding } from '@dialoga/core/finding';
import { memo, useState } from 'react';
import styled from 'styled-components';
import { Arrowed } from '../marks/arrowed';
import { SeverityMark } from '../marks/severity-mark';
import { useStateOf } from '../store/store';
import { TextButton } from '../theme/parts';
import { colour, font, size, space } from '../theme/tokens';
import { AcceptForm } from './accept-form';
import { AcceptedLine } from './accepted-line';
import { FixPreview } from './fix-preview';
import { Says } from './says';
import { useFindingActions } from './use-current-finding';
import { useFixes } from './use-fixes';

const Entry = styled.article`
  display: grid;
  grid-template-columns: 96px minmax(0, 1fr) minmax(0, 1fr) minmax(0, 1.1fr) minmax(150px, 0.8fr);
  gap: ${space[4]}px;
  padding: ${space[3]}px 0;
  border-bottom: 1px solid ${colour.hairline};
`;

const Code = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-content: flex-start;
  gap: 0 ${space[3]}px;
  align-items: center;
  font-weight: 600;
  small {
    width: 100%;
    font-weight: 400;
    font-size: 12px;
    color: ${colour.ink2};
  }
`;

/** Left a single edge, right a double one, as on the two pages. */
const Side = styled.div<{ $second: boolean }>`
  padding-left: ${space[3]}px;
  border-left: ${({ $second }) => ($second ? `4px double ${colour.right}` : `2px solid ${colour.left}`)};
  h3 {
    font: 600 ${size.interface}px / 1.4 ${font.serif};
    color: ${({ $second }) => ($second ? colour.right : colour.left)};
  }
`;

const Small = styled.p`
  font-size: ${size.data}px;
  color: ${colour.ink2};
`;

const Actions = styled.div`
  button {
    padding-left: 0;
    margin-right: ${space[4]}px;
    text-align: left;
    text-decoration: underline;
    text-underline-offset: 3px;
  }
`;

/** One finding in full. */
export function FindingEntry({ finding, number, of }: { finding: Finding; number: number; of: number }) {
  return (
    <Entry>
      <Code>
        <SeverityMark severity={finding.severity} />
        {finding.code}
        <small>
          {number} of {of}
        </small>
      </Code>
      <Whole finding={finding} />
    </Entry>
  );
}

/** All but its number, which changes as others come and go. */
const Whole = memo(function Whole({ finding }: { finding: Finding }) {
  const project = useStateOf((s) => s.project.project);
  const { show, fix } = useFindingActions();
  const fixes = useFixes(finding);
  const accepted = useStateOf((s) => s.findings.accepted[finding.key]);
  const [previewed, setPreviewed] = useState<number | null>(null);
  const text = textOf(finding);
  const station = (id: string | undefined) => (id ? (project?.get('station', id)?.name ?? '') : finding.about.name);
  return (
    <>
      {[0, 1].map((i) => {
        const says = text.says[i];
        if (!says) return <div key={i} />;
        return (
          <Side key={i} $second={i === 1}>
            <h3 dir="auto">{station(finding.parties[i]?.station)}</h3>
            <Says pieces={says} />
          </Side>
        );
      })}
      <div>
        <p dir="auto">{text.consequence}</p>
        <Small dir="auto">{text.remedy}</Small>
        <Small>Rule: {text.title}</Small>
        <Small>Source: {text.source}</Small>
      </div>
      <Actions>
        <TextButton onPress={() => show(finding)}>Show</TextButton>
        {fixes.map(({ label, changes }, i) => (
          <div key={label}>
            <TextButton onPress={() => fix(finding, label)} aria-label={`Fix ${finding.code}: ${label}`}>
              Fix
            </TextButton>
            <Small as="span">
              <Arrowed text={label} />
            </Small>
            <br />
            <TextButton
              aria-expanded={previewed === i}
              aria-label={`What changes with ${label}`}
              onPress={() => setPreviewed(previewed === i ? null : i)}
            >
              What changes
            </TextButton>
            {previewed === i && <FixPreview changes={changes} />}
          </div>
        ))}
      </Actions>
      {accepted && <AcceptedLine finding={finding} accepted={accepted} />}
      {finding.severity === 'doubt' && accepted?.lapsed !== false && <AcceptForm finding={finding} />}
    </>
  );
});
