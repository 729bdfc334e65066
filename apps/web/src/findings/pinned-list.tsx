import { textOf } from './text-of';
import styled from 'styled-components';
import { SeverityMark } from '../marks/severity-mark';
import { useCounting } from '../store/checked';
import { useStateOf } from '../store/store';
import { TextButton } from '../theme/parts';
import { colour, size, space } from '../theme/tokens';
import { useFindingActions } from './use-current-finding';
import { useGrowing } from './use-growing';

const List = styled.aside`
  min-height: 0;
  overflow: auto;
  border-left: 1px solid ${colour.edge};
  h2 {
    padding: ${space[3]}px ${space[4]}px;
    font-size: ${size.interface}px;
    border-bottom: 1px solid ${colour.edge};
  }
  ol {
    margin: 0;
    padding: 0;
    list-style: none;
  }
  li {
    border-bottom: 1px solid ${colour.hairline};
  }
  @media print {
    display: none;
  }
`;

const Line = styled(TextButton)<{ $current: boolean }>`
  display: grid;
  grid-template-columns: 20px minmax(0, 1fr);
  gap: ${space[3]}px;
  width: 100%;
  padding: ${space[2]}px ${space[4]}px;
  text-align: left;
  background: ${({ $current }) => ($current ? colour.sunk : 'none')};
  small {
    color: ${colour.ink2};
    font-size: ${size.data}px;
  }
`;

/** All findings beside the work, in wide windows; each leads to its very cell. */
export function PinnedList() {
  const counting = useCounting();
  const { current, order } = useStateOf((s) => s.findings);
  const { show } = useFindingActions();
  const { drawn, end } = useGrowing();
  return (
    <List aria-label="All findings">
      <h2>{counting.length === 0 ? 'No findings' : `${counting.length} findings`}</h2>
      <ol>
        {counting.slice(0, drawn).map((finding) => (
          <li key={finding.key}>
            <Line
              $current={finding.key === (current ?? order[0])}
              aria-current={finding.key === (current ?? order[0])}
              onPress={() => show(finding)}
            >
              <SeverityMark severity={finding.severity} />
              <span dir="auto">
                {finding.code} · {textOf(finding).headline}
                <br />
                <small>{finding.about.name}</small>
              </span>
            </Line>
          </li>
        ))}
      </ol>
      {drawn < counting.length && <div key={drawn} ref={end} />}
    </List>
  );
}
