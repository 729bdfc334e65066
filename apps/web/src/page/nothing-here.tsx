import { Link } from 'react-router';
import { Empty } from '../theme/parts';

interface Props {
  what?: string;
  back?: { to: string; label: string };
}

/** A link to something that is not there (any more). */
export function NothingHere({ what = 'There is nothing at this address.', back }: Props) {
  return (
    <Empty role="status">
      <h1>Nothing here</h1>
      <p>{what} It may have been deleted, or the link may be incomplete.</p>
      <p>{back ? <Link to={back.to}>{back.label}</Link> : <Link to="/">All projects</Link>}</p>
    </Empty>
  );
}
