import { childrenOf, inOrder, type Project, type Station } from '@dialoga/core/model';
import { ownPorts } from '@dialoga/core/wiring';
import { Link, useParams } from 'react-router';
import styled from 'styled-components';
import { useStateOf } from '../store/store';
import { Code } from '../theme/parts';
import { colour, size, space } from '../theme/tokens';

const Lines = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${space[1]}px ${space[6]}px;
  padding: ${space[3]}px ${space[4]}px;
  border-bottom: 1px solid ${colour.hairline};
  color: ${colour.ink2};
  font-size: ${size.data}px;
`;

/** From which adapter of an engineer's computer each network is looked at, whether that is set for it, and what it must be again. */
export function OwnComputers() {
  const { project: address = '' } = useParams();
  const project = useStateOf((s) => s.project.project)!;
  const computers = inOrder(project, 'station').filter(({ roles }) => roles.includes('workstation'));
  if (computers.length === 0) return null;
  return (
    <Lines role="group" aria-label="Own computer">
      {computers.map((station) => (
        <span key={station.id}>
          From <Link to={`/p/${address}/stations/${station.id}`}>{station.name}</Link>: {adapters(project, station)}
          {toSetBack(project, station)}
        </span>
      ))}
    </Lines>
  );
}

function adapters(project: Project, station: Station) {
  return ownPorts(project, station).map(({ network, port, address, toSet }, i) => (
    <span key={network.id}>
      {i > 0 && '; '}
      {network.name} by {port?.name ?? 'no adapter'}
      {port && (
        <>
          , {toSet ? 'to be set to ' : ''}
          <Code>{address || 'an address that is not known yet'}</Code>
        </>
      )}
    </span>
  ));
}

function toSetBack(project: Project, station: Station): string {
  const kept = childrenOf(project, 'setting', station.id).flatMap(({ was }) => (was ? [was] : []));
  return kept.length > 0 ? `; to be set back to ${kept.join(', ')}` : '';
}
