import type { Station } from '@dialoga/core/model';
import type { Matrix, MatrixCell } from '@dialoga/core/overview';
import { formatCount } from '@dialoga/core/place';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import styled from 'styled-components';
import { VERDICT_WORDS, VerdictMark } from '../marks/verdict-mark';
import { useStateOf } from '../store/store';
import { useEndToEnd } from './use-overview';
import { useStandings } from './use-standings';
import { Section, SectionHead, TextButton } from '../theme/parts';
import { colour, font, size, space } from '../theme/tokens';
import { isListed } from './matrix-form';
import { moveInMatrix } from './matrix-keys';

const Table = styled.table`
  border-collapse: collapse;
  th {
    font: 600 ${size.interface}px ${font.serif};
    text-align: left;
    white-space: nowrap;
  }
  thead th {
    height: 96px;
    vertical-align: bottom;
    padding: 0 0 ${space[3]}px ${space[4]}px;
    width: 64px;
    max-width: 64px;
  }
  thead th span {
    display: block;
    transform-origin: 0 100%;
    transform: rotate(-58deg) translate(6px, 4px);
    width: 90px;
    overflow: hidden;
    text-overflow: ellipsis;
  }
  thead th:first-child {
    font: 400 ${size.data}px ${font.sans};
    color: ${colour.ink2};
    padding-left: 0;
    width: 150px;
    max-width: 150px;
  }
  tbody th {
    max-width: 150px;
    overflow: hidden;
    text-overflow: ellipsis;
    padding: 0 ${space[4]}px 0 0;
  }
  tbody tr {
    height: 26px;
    border-top: 1px solid ${colour.hairline};
  }
  tbody tr:first-child {
    border-top-color: ${colour.edge};
  }
  tbody tr:last-child {
    border-bottom: 1px solid ${colour.hairline};
  }
  td {
    width: 64px;
    padding: 0;
    border-left: 1px solid ${colour.hairline};
  }
  td.self {
    background: ${colour.sunk};
  }
`;

interface Far {
  rehearsed: number;
  observed: number;
}

const Cell = styled.button<{ $chosen: boolean; $heldUp: boolean; $quiet: boolean; $far: Far }>`
  display: flex;
  justify-content: space-between;
  align-items: center;
  width: 100%;
  min-height: 25px;
  padding: 0 ${space[3]}px;
  border: 0;
  background-color: ${({ $chosen }) => ($chosen ? colour.sunk : 'transparent')};
  /* How far its lanes are: a thin line as far as they are rehearsed, a thick one as far as they were observed. */
  background-image: linear-gradient(${colour.ink}, ${colour.ink}), linear-gradient(${colour.edge}, ${colour.edge});
  background-repeat: no-repeat;
  background-position: left bottom;
  background-size: ${({ $far }) => `${$far.observed * 100}% 3px, ${$far.rehearsed * 100}% 1px`};
  color: ${({ $quiet }) => ($quiet ? colour.ink2 : colour.ink)};
  font: ${({ $quiet }) => ($quiet ? 400 : 600)} ${size.data}px ${font.code};
  cursor: pointer;
  > span {
    border-bottom: ${({ $heldUp }) => ($heldUp ? `2px solid ${colour.differs}` : '0')};
  }
`;

/** Nothing is exchanged here yet; something can be. */
const Empty = styled(Link)`
  display: block;
  min-height: 25px;
  padding: 0 ${space[3]}px;
  line-height: 25px;
  text-decoration: none;
  opacity: 0;
  &:hover,
  &:focus-visible {
    opacity: 1;
  }
`;

const Legend = styled.p`
  padding: ${space[3]}px 0;
  color: ${colour.ink2};
  font-size: ${size.data}px;
`;

const Unrolled = styled.ul`
  padding: 0;
  list-style: none;
  border-top: 1px solid ${colour.edge};
  li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr) minmax(120px, 1.4fr);
    gap: ${space[4]}px;
    min-height: 24px;
    align-items: center;
    border-bottom: 1px solid ${colour.hairline};
  }
`;

const List = styled.ul`
  padding: 0;
  list-style: none;
  li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr) 110px;
    gap: ${space[4]}px;
    border-bottom: 1px solid ${colour.hairline};
  }
`;

const farWords = ({ rehearsed, observed }: Far): string =>
  rehearsed + observed === 0
    ? ''
    : `, ${Math.round(rehearsed * 100)} % rehearsed, ${Math.round(observed * 100)} % observed`;
const keyOf = ({ source, sink }: MatrixCell) => `${source} ${sink}`;
const bytes = (bits: number) => Math.ceil(bits / 8);

/** Sources down, sinks across; above thirty stations or where most of it is empty, the same as a list. */
export function MatrixSection({ matrix: eachLane }: { matrix: Matrix }) {
  const { project: address = '' } = useParams();
  const [whole, setWhole] = useState(false);
  const endToEnd = useEndToEnd(whole);
  const standings = useStandings();
  const matrix = endToEnd ?? eachLane;
  const [chosen, setChosen] = useState<string | null>(null);
  const project = useStateOf((s) => s.project.project)!;
  const name = (id: string) => project.get('station', id)?.name ?? '';
  const byKey = new Map(matrix.cells.map((cell) => [keyOf(cell), cell]));
  const open = chosen === null ? undefined : byKey.get(chosen);
  const unchecked = new Set(
    matrix.cells.flatMap(({ lanes }) => lanes.flatMap(({ lane, verdict }) => (verdict === 'unchecked' ? [lane] : []))),
  );
  const button = (cell: MatrixCell) => {
    const key = keyOf(cell);
    const held = cell.heldUp ? ', blocked' : '';
    const far = standings.share(cell.lanes);
    return (
      <Cell
        type="button"
        $chosen={chosen === key}
        $heldUp={cell.heldUp}
        $far={far}
        $quiet={cell.verdict === 'agreed' && !cell.heldUp}
        aria-expanded={chosen === key}
        aria-label={`${name(cell.source)} to ${name(cell.sink)}: ${formatCount(bytes(cell.bits), 8)}, ${VERDICT_WORDS[cell.verdict]}${held}${farWords(far)}`}
        onClick={() => setChosen(chosen === key ? null : key)}
      >
        <VerdictMark verdict={cell.verdict} />
        <span>{bytes(cell.bits)}</span>
      </Cell>
    );
  };
  const empty = (source: Station, sink: Station) => (
    <Empty
      to={`/p/${address}/exchanges`}
      state={{ begin: { from: source.id, to: sink.id } }}
      // Hundreds of empty cells are nothing for Tab to go through: the arrow keys reach them.
      tabIndex={-1}
      aria-label={`New exchange: ${source.name} to ${sink.name}`}
    >
      +
    </Empty>
  );
  return (
    <Section aria-label="Exchange matrix">
      <SectionHead>
        <h2>Exchange matrix</h2>
        <p>
          {whole && !endToEnd
            ? 'following every value …'
            : whole
              ? 'where data begins and where it ends, through gateways and copies'
              : 'who sends what to whom; a cell opens its lanes'}
        </p>
        <TextButton aria-pressed={whole} onPress={() => setWhole(!whole)}>
          {whole ? 'Each lane' : 'End to end'}
        </TextButton>
      </SectionHead>
      {isListed(matrix) ? (
        <List>
          {matrix.cells.map((cell) => (
            <li key={keyOf(cell)}>
              <span>{name(cell.source)}</span>
              <span>{name(cell.sink)}</span>
              {button(cell)}
            </li>
          ))}
        </List>
      ) : (
        <Table>
          <thead>
            <tr>
              <th scope="col">
                sources down,
                <br />
                sinks across
              </th>
              {matrix.sinks.map((sink: Station) => (
                <th key={sink.id} scope="col">
                  <span dir="auto" title={sink.name}>
                    {sink.name}
                  </span>
                </th>
              ))}
            </tr>
          </thead>
          <tbody onKeyDown={moveInMatrix}>
            {matrix.sources.map((source) => (
              <tr key={source.id}>
                <th scope="row" dir="auto" title={source.name}>
                  {source.name}
                </th>
                {matrix.sinks.map((sink) => {
                  const cell = byKey.get(`${source.id} ${sink.id}`);
                  return (
                    <td key={sink.id} className={source.id === sink.id ? 'self' : undefined}>
                      {cell ? button(cell) : source.id !== sink.id && empty(source, sink)}
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </Table>
      )}
      <Legend>
        bytes as the source states them, with the worst verdict of {whole ? 'its ways from end to end' : 'the lanes'};
        underlined: the lanes agree, but a Blocker elsewhere prevents transfer; the line below: thin as far as the lanes
        are rehearsed, thick as far as they were observed on site
        {unchecked.size > 0 && `; ${unchecked.size} ${unchecked.size === 1 ? 'lane' : 'lanes'} unchecked`}
      </Legend>
      {open && <OpenedCell cell={open} title={`${name(open.source)} to ${name(open.sink)}`} />}
    </Section>
  );
}

function OpenedCell({ cell, title }: { cell: MatrixCell; title: string }) {
  const { project: projectId = '' } = useParams();
  const project = useStateOf((s) => s.project.project)!;
  const lanes = useStateOf((s) => s.findings.lanes);
  const standings = useStandings();
  const unchecked = cell.lanes.filter(({ verdict }) => verdict === 'unchecked').length;
  return (
    <section aria-label={title}>
      <SectionHead>
        <h3>{title}</h3>
        <p>
          {formatCount(bytes(cell.bits), 8)}, {cell.lanes.length} {cell.lanes.length === 1 ? 'lane' : 'lanes'}
          {unchecked > 0 && `, ${unchecked} unchecked`}
          {cell.why && `; from end to end: ${VERDICT_WORDS[cell.verdict]}, ${cell.why}`}
        </p>
      </SectionHead>
      <Unrolled>
        {cell.lanes.map(({ lane, name, exchange, verdict }) => (
          <li key={lane}>
            <Link to={`/p/${projectId}/exchanges/${exchange}?at=lane:${lane}`} dir="auto">
              {name}
            </Link>
            <span dir="auto">{project.get('exchange', exchange)?.name}</span>
            <span>
              <VerdictMark verdict={verdict} /> {VERDICT_WORDS[verdict]}
              {verdict === 'unchecked' && lanes.get(lane)?.unknown && `: ${lanes.get(lane)!.unknown}`},{' '}
              {standings.lane(lane)}
            </span>
          </li>
        ))}
      </Unrolled>
    </section>
  );
}
