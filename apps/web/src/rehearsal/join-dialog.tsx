import { childrenOf, inOrder } from '@dialoga/core/model';
import { Link, useParams } from 'react-router';
import { AskDialog } from '../forms/ask-dialog';
import { useStateOf } from '../store/store';

interface Props {
  name: string;
  stations: ReadonlySet<string>;
  onJoin: () => void;
  onClose: () => void;
}

/** Before a link is joined: what the outputs beyond it do when it is back, as far as that is decided. */
export function JoinDialog({ name, stations, onJoin, onClose }: Props) {
  const { project: address = '' } = useParams();
  const project = useStateOf((s) => s.project.project)!;
  const exchanges = inOrder(project, 'exchange').filter(
    ({ id, transfer }) =>
      transfer === 'cyclic blocks' && childrenOf(project, 'end', id).some(({ station }) => stations.has(station)),
  );
  return (
    <AskDialog
      title={`Join the link of ${name}`}
      outcome={exchanges.length === 0 ? 'No outputs hang on it.' : 'Is that what is meant when it is back?'}
      take="Join"
      ready
      onTake={onJoin}
      onClose={onClose}
    >
      <ul>
        {exchanges.map(({ id, name: exchange, onLoss }) => (
          <li key={id}>
            {exchange}:{' '}
            {onLoss?.back ? (
              `the outputs ${onLoss.back}`
            ) : (
              <>
                not decided, so the outputs may come back by themselves.{' '}
                <Link to={`/p/${address}/exchanges/${id}/running`}>Decide it</Link>
              </>
            )}
          </li>
        ))}
      </ul>
    </AskDialog>
  );
}
