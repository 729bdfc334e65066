import { callsOf, callsText } from '@dialoga/core/exchange';
import type { End, Exchange } from '@dialoga/core/model';
import styled from 'styled-components';
import { projectSlice } from '../../store/project-slice';
import { useAppDispatch, useStateOf } from '../../store/store';
import { Code, TextButton } from '../../theme/parts';
import { colour, size, space } from '../../theme/tokens';

const Head = styled.h3`
  display: flex;
  align-items: baseline;
  gap: ${space[3]}px;
  padding-top: ${space[4]}px;
`;

const List = styled.ol`
  margin: 0;
  padding: 0;
  list-style: none;
  li {
    display: grid;
    grid-template-columns: minmax(150px, 0.8fr) 90px minmax(0, 3fr);
    gap: ${space[3]}px;
    align-items: baseline;
    padding: ${space[1]}px 0;
    border-bottom: 1px solid ${colour.hairline};
  }
  small {
    color: ${colour.ink2};
    font-size: ${size.data}px;
  }
  li > span > span {
    padding-right: ${space[4]}px;
    white-space: nowrap;
    display: inline-block;
  }
`;

/** What the program of one end calls, block by block; copied as text with a button. */
export function CallsSection({ exchange, end }: { exchange: Exchange; end: End }) {
  const project = useStateOf((s) => s.project.project)!;
  const dispatch = useAppDispatch();
  const calls = callsOf(project, exchange, end);
  const name = project.get('station', end.station)?.name ?? '';
  return (
    <>
      <Head dir="auto">
        {name}
        {calls.length > 0 && (
          <TextButton
            aria-label={`Copy the calls of ${name}`}
            onPress={() => {
              void navigator.clipboard.writeText(callsText(calls));
              dispatch(projectSlice.actions.noticed(`${calls.length} calls of ${name} are on the clipboard.`));
            }}
          >
            Copy
          </TextButton>
        )}
      </Head>
      {calls.length === 0 && <p>It says nothing of any lane yet.</p>}
      <List>
        {calls.map((call) => (
          <li key={`${call.lane} ${call.name}`}>
            <span dir="auto">{call.name}</span>
            <span>{call.does}</span>
            <span>
              {call.parameters.map((p) => (
                <span key={p.name}>
                  <small>{p.name}</small> <Code>{p.value}</Code>
                  {p.note && <small> {p.note}</small>}
                </span>
              ))}
            </span>
          </li>
        ))}
      </List>
    </>
  );
}
