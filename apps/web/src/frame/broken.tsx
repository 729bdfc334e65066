import { Link, useRouteError } from 'react-router';
import { Empty } from '../theme/parts';
import { isPageAway, PageAway } from './page-away';

/** Never a blank page: what went wrong, and a way on. */
export function Broken() {
  const error = useRouteError();
  if (isPageAway(error)) return <PageAway />;
  const sentence = error instanceof Error ? error.message : 'There is nothing at this address.';
  return (
    <main>
      <Empty>
        <h1>This page cannot be shown</h1>
        <p>{sentence}</p>
        <p>
          Your edits are kept. <Link to="/">All projects</Link>
        </p>
      </Empty>
    </main>
  );
}
