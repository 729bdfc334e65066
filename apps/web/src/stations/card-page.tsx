import { settingCard } from '@dialoga/core/hardware';
import { Link, useParams } from 'react-router';
import styled from 'styled-components';
import { NothingHere } from '../page/nothing-here';
import { useStateOf } from '../store/store';
import { BoxButton, Code, PageTitle, Section } from '../theme/parts';
import { colour, font, size, space } from '../theme/tokens';

const Table = styled.table`
  border-collapse: collapse;
  th {
    font: 400 ${size.data}px ${font.sans};
    color: ${colour.ink2};
    text-align: left;
    border-bottom: 1px solid ${colour.edge};
  }
  th,
  td {
    padding: ${space[2]}px ${space[6]}px ${space[2]}px 0;
  }
  td {
    border-bottom: 1px solid ${colour.hairline};
  }
  tr {
    break-inside: avoid;
  }
`;

const Controls = styled.div`
  display: flex;
  gap: ${space[4]}px;
  align-items: baseline;
  margin-left: auto;
  @media print {
    display: none;
  }
`;

/** What is set by hand at one device, to print and take to it. */
export function CardPage() {
  const { project: projectId = '', station: id = '' } = useParams();
  const project = useStateOf((s) => s.project.project)!;
  const station = project.get('station', id);
  if (!station) {
    return (
      <NothingHere what="There is no such station." back={{ to: `/p/${projectId}/stations`, label: 'All stations' }} />
    );
  }
  const lines = settingCard(project, station);
  return (
    <>
      <PageTitle>
        <h1 dir="auto">Setting card: {station.name}</h1>
        <p>{project.info.name}; what is set at the device itself</p>
        <Controls>
          <Link to={`/p/${projectId}/stations/${id}`}>Back to {station.name}</Link>
          <BoxButton autoFocus onPress={() => print()}>
            Print
          </BoxButton>
        </Controls>
      </PageTitle>
      <Section style={{ overflow: 'auto' }}>
        {lines.length === 0 && <p>Nothing is known yet that is set at this device.</p>}
        {lines.length > 0 && (
          <Table>
            <thead>
              <tr>
                <th>Where</th>
                <th>What</th>
                <th>Set to</th>
                <th>Then</th>
                <th>Done, by</th>
              </tr>
            </thead>
            <tbody>
              {lines.map((line) => (
                <tr key={`${line.at} ${line.what} ${line.value}`}>
                  <td>{line.at}</td>
                  <td>{line.what}</td>
                  <td>
                    <Code>{line.value}</Code>
                  </td>
                  <td>{line.then}</td>
                  <td style={{ minWidth: 140 }} />
                </tr>
              ))}
            </tbody>
          </Table>
        )}
      </Section>
    </>
  );
}
