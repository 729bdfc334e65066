import type { Network, Port } from '@dialoga/core/model';
import { ledgerOf, nextFreeInLedger, type Ledger, type LedgerRun } from '@dialoga/core/wiring';
import { scaleLinear } from 'd3-scale';
import styled from 'styled-components';
import { useStateOf } from '../store/store';
import { SectionHead } from '../theme/parts';
import { colour, font, size, space } from '../theme/tokens';

const Runs = styled.ol`
  columns: 2;
  column-gap: ${space[5]}px;
  margin: ${space[2]}px 0 0;
  padding: 0;
  list-style: none;
  li {
    display: flex;
    gap: ${space[3]}px;
    min-height: 22px;
    align-items: center;
    break-inside: avoid;
    border-bottom: 1px solid ${colour.hairline};
  }
  code {
    flex: none;
    min-width: 64px;
    font: 400 ${size.data}px / 1.4 ${font.code};
    white-space: nowrap;
  }
  span {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  .free {
    color: ${colour.ink2};
  }
  .twice {
    border-bottom: 2px solid ${colour.differs};
  }
  .chosen {
    outline: 2px solid ${colour.focus};
    outline-offset: -1px;
  }
`;

const WIDTH = 448;

/** Who has which address of a network, and what is free, as runs. */
export function AddressLedger({ network, port }: { network: Network; port: Port | null }) {
  const project = useStateOf((s) => s.project.project)!;
  const ledger = ledgerOf(project, network);
  const name = (p: Port) => project.get('station', p.station)?.name ?? '';
  if (!ledger) {
    return (
      <>
        <h2>Addresses on {network.name}</h2>
        <p>
          {network.kind === 'direct cable'
            ? 'A direct cable has none.'
            : 'Give the network a subnet, or a first port its address and mask; then what is free is shown here.'}
        </p>
      </>
    );
  }
  const total = ledger.last - ledger.first + 1;
  const free = nextFreeInLedger(ledger);
  return (
    <>
      <SectionHead>
        <h2>
          {ledger.what === 'address' ? 'Addresses' : plural(ledger.what)} on {network.name}
        </h2>
        <p>
          {ledger.used} of {total} in use{free === null ? ', none free' : `; next free ${ledger.format(free)}`}
        </p>
      </SectionHead>
      <Strip ledger={ledger} />
      <Runs>
        {ledger.runs.map((run) => (
          <li key={run.from} className={run.ports.some((p) => p.id === port?.id) ? 'chosen' : undefined}>
            <code className={run.ports.length === 0 ? 'free' : undefined}>
              {run.from === run.to ? ledger.format(run.from) : `${ledger.format(run.from)}–${ledger.format(run.to)}`}
            </code>
            <RunWords run={run} name={name} />
          </li>
        ))}
      </Runs>
      {ledger.outside.length > 0 && <p>Outside the subnet: {ledger.outside.map(name).join(', ')}</p>}
    </>
  );
}

function RunWords({ run, name }: { run: LedgerRun; name: (port: Port) => string }) {
  if (run.ports.length > 1) {
    const names = `twice: ${run.ports.map(name).join(', ')}`;
    return (
      <span className="twice" title={names}>
        {names}
      </span>
    );
  }
  if (run.ports.length === 1) return <span>{name(run.ports[0]!)}</span>;
  if (run.former.length > 0) return <span className="free">free, formerly {run.former.map(name).join(', ')}</span>;
  const count = run.to - run.from + 1;
  return <span className="free">{count === 1 ? 'free' : `free, ${count}`}</span>;
}

const plural = (what: string) =>
  `${what[0]!.toUpperCase()}${what
    .slice(1)
    .replace(/address$/, 'addresses')
    .replace(/number$/, 'numbers')}`;

/** Each address that is in use as a stroke along the whole range. */
function Strip({ ledger }: { ledger: Ledger }) {
  const x = scaleLinear([ledger.first, ledger.last], [1, WIDTH - 1]);
  const marks = ledger.runs.filter((run) => run.ports.length > 0);
  return (
    <svg viewBox={`0 0 ${WIDTH} 16`} width="100%" height={16} preserveAspectRatio="none" aria-hidden>
      <rect x={0.5} y={0.5} width={WIDTH - 1} height={11} fill={colour.sheet} stroke={colour.hairline} />
      {marks.map((run) => (
        <g key={run.from}>
          <line x1={x(run.from)} x2={x(run.from)} y1={1} y2={12} stroke={colour.ink} strokeWidth={2} />
          {run.ports.length > 1 && (
            <line x1={x(run.from) - 4} x2={x(run.from) + 4} y1={14} y2={14} stroke={colour.differs} strokeWidth={2} />
          )}
        </g>
      ))}
    </svg>
  );
}
