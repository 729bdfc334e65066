import type { ReactNode } from 'react';
import styled from 'styled-components';
import { colour } from '../theme/tokens';

/** Less than that is too narrow for a list beside something else, px. */
const LIST_LEAST = 560;

const Fits = styled.div`
  container-type: inline-size;
  display: flex;
  flex: 1;
  flex-direction: column;
  min-height: 0;
`;
const Columns = styled.div<{ $least: number; $oneFirst: boolean }>`
  display: grid;
  grid-template: minmax(0, 1fr) / minmax(0, 1.4fr) minmax(${({ $least }) => $least}px, 1fr);
  flex: 1;
  min-height: 0;
  > :first-child {
    display: flex;
    flex-direction: column;
    min-height: 0;
  }
  > * + * {
    border-left: 1px solid ${colour.hairline};
    overflow: auto;
  }
  @container (max-width: ${({ $least }) => $least + LIST_LEAST}px) {
    grid-template: ${({ $oneFirst }) => ($oneFirst ? 'auto minmax(160px, 1fr)' : 'minmax(0, 1.2fr) minmax(0, 1fr)')} / minmax(
        0,
        1fr
      );
    > :first-child {
      order: ${({ $oneFirst }) => ($oneFirst ? 2 : 0)};
    }
    > * + * {
      border: 0 solid ${colour.edge};
      border-width: ${({ $oneFirst }) => ($oneFirst ? '0 0 1px' : '1px 0 0')};
    }
  }
`;

interface Props {
  list: ReactNode;
  /** the one of the list that is at hand */
  one: ReactNode;
  /** px that it takes at least */
  least: number;
  /** where one stands above the other: the one at hand is first */
  oneFirst?: boolean;
}

/** A list, and beside it the one at hand; where there is no room, also beside the value lab, one above the other. */
export const ListAndOne = ({ list, one, least, oneFirst = false }: Props) => (
  <Fits>
    <Columns $least={least} $oneFirst={oneFirst}>
      <div>{list}</div>
      {one}
    </Columns>
  </Fits>
);
