import type { Finding } from '@dialoga/core/finding';
import { laneName } from '@dialoga/core/lane';
import type { Lane } from '@dialoga/core/model';
import { explainLane } from '@dialoga/core/sheet';
import { Dialog, Heading } from 'react-aria-components';
import styled from 'styled-components';
import { FindingExplained } from '../findings/finding-explained';
import { Overlay, Panel } from '../page/overlay';
import { Arrowed } from '../marks/arrowed';
import { VERDICT_WORDS, VerdictMark } from '../marks/verdict-mark';
import { useStateOf } from '../store/store';
import { BoxButton } from '../theme/parts';
import { colour, font, size, space } from '../theme/tokens';

const Wide = styled(Panel)`
  width: 780px;
  max-height: calc(100vh - 128px);
  overflow: auto;
`;

const Terms = styled.table`
  width: 100%;
  margin: ${space[4]}px 0;
  border-collapse: collapse;
  th {
    text-align: left;
    font-weight: 500;
    color: ${colour.ink2};
  }
  td,
  th {
    padding: ${space[1]}px ${space[3]}px ${space[1]}px 0;
    border-bottom: 1px solid ${colour.hairline};
  }
  td {
    font: ${size.data}px ${font.code};
  }
  .differs {
    border-bottom: 2px solid ${colour.differs};
  }
`;

interface Props {
  lane: Lane;
  item?: string;
  findings: readonly Finding[];
  onClose: () => void;
}

/** How the verdict of a lane comes about: both ends term by term, the way of a value, what was found, rule and source. */
export function ExplainDialog({ lane, item, findings, onClose }: Props) {
  const project = useStateOf((s) => s.project.project)!;
  const explanation = explainLane(project, lane, item);
  if (!explanation) return null;
  const { stations, verdict, terms, formula, sample, unknown } = explanation;
  return (
    <Overlay isOpen isDismissable onOpenChange={(open) => !open && onClose()}>
      <Wide>
        <Dialog>
          <Heading slot="title" level={2} dir="auto">
            {laneName(project, lane)}: <VerdictMark verdict={verdict} /> {VERDICT_WORDS[verdict]}
          </Heading>
          {unknown && <p>Unchecked, because {unknown}.</p>}
          <p>
            <Arrowed text={formula} />
          </p>
          {sample && <p dir="auto">{sample}</p>}
          <Terms>
            <thead>
              <tr>
                <th scope="col">term</th>
                {stations.map((station, i) => (
                  <th key={i} scope="col" dir="auto">
                    {station}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {terms.map(({ label, values }) => (
                <tr key={label}>
                  <th scope="row">{label}</th>
                  {values.map((value, i) => (
                    <td key={i}>{value}</td>
                  ))}
                </tr>
              ))}
            </tbody>
          </Terms>
          {findings.map((finding) => (
            <FindingExplained key={finding.key} finding={finding} />
          ))}
          <BoxButton autoFocus onPress={onClose}>
            Close
          </BoxButton>
        </Dialog>
      </Wide>
    </Overlay>
  );
}
