import { adviseTransfer } from '@dialoga/core/exchange';
import type { Exchange } from '@dialoga/core/model';
import styled from 'styled-components';
import { useStateOf } from '../../store/store';
import { SectionHead } from '../../theme/parts';
import { colour, size, space } from '../../theme/tokens';

const Two = styled.div`
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: ${space[5]}px;
  h3 {
    padding: ${space[2]}px 0;
  }
  ul {
    margin: 0;
    padding-left: ${space[4]}px;
    font-size: ${size.data}px;
    color: ${colour.ink2};
  }
`;

const WAYS = [
  ['cyclic blocks', 'Cyclic in the background'],
  ['requests', 'Requests from the program'],
] as const;

/** Which way of transfer suits, why, and what each costs to set up. */
export function AdviceSection({ exchange }: { exchange: Exchange }) {
  const project = useStateOf((s) => s.project.project)!;
  const advice = adviseTransfer(project, exchange);
  const suits = advice.suits === 'requests' ? 'requests' : 'cyclic blocks';
  return (
    <>
      <SectionHead>
        <h2>Cyclic or requests</h2>
        <p>
          {advice.because.length === 0 ? 'nothing to advise yet' : `${suits} suit: ${advice.because.join('; ')}`}
          {advice.but.length > 0 && `; against it: ${advice.but.join('; ')}`}
          {advice.differs &&
            (advice.possible ? ` (it has ${exchange.transfer})` : ' (this protocol does not have them)')}
        </p>
      </SectionHead>
      <Two>
        {WAYS.map(([way, title]) => (
          <section key={way}>
            <h3>{title}</h3>
            <ul>
              {advice.costs[way].map((cost) => (
                <li key={cost}>{cost}</li>
              ))}
            </ul>
          </section>
        ))}
      </Two>
    </>
  );
}
