import type { PointRow } from '@dialoga/core/tags';
import styled from 'styled-components';
import { Section, SectionHead } from '../../theme/parts';
import { colour, space } from '../../theme/tokens';

const Foot = styled(Section)`
  flex: none;
  border-top: 1px solid ${colour.edge};
  table {
    border-collapse: collapse;
  }
  th,
  td {
    padding: ${space[1]}px ${space[5]}px ${space[1]}px 0;
    border-bottom: 1px solid ${colour.hairline};
    font-weight: 400;
    text-align: left;
  }
  thead th {
    color: ${colour.ink2};
  }
`;

/** What a signal is at each step, while the thing is at rest and while it is active. */
export function TruthTable({ point }: { point: PointRow }) {
  const { polarity, name, usual, table } = point;
  const verdict = !polarity
    ? 'say what the contact is, and how both ends take it, and the table stands here'
    : polarity.twice
      ? 'inverted twice: correct in simulation, inverted in the plant'
      : polarity.rightInTrial
        ? 'right in the simulation and in the plant'
        : polarity.rightInPlant
          ? 'right in the plant, the wrong way round in the simulation'
          : 'the wrong way round in the simulation and in the plant';
  return (
    <Foot aria-label={`Signal path: ${name}`}>
      <SectionHead>
        <h2>{name}</h2>
        <p>
          {usual && `usually among the ${usual}`}
          {usual && table && table !== usual && `, asked for among the ${table}`}
          {usual && '; '}
          {verdict}
        </p>
      </SectionHead>
      {polarity && (
        <table>
          <thead>
            <tr>
              <th scope="col">While the thing is</th>
              {polarity.steps.map((step) => (
                <th key={step.where} scope="col">
                  {step.where}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {(['atRest', 'active'] as const).map((when) => (
              <tr key={when}>
                <th scope="row">{when === 'atRest' ? 'at rest' : 'active'}</th>
                {polarity.steps.map((step) => (
                  <td key={step.where}>
                    {step.where === 'logic'
                      ? step[when]
                        ? 'takes it for active'
                        : 'takes it for at rest'
                      : step[when]
                        ? '1'
                        : '0'}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </Foot>
  );
}
