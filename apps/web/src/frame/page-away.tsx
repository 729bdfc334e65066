import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { api } from '../api/client';
import { Empty } from '../theme/parts';

const RETRY_MS = 2000;
/** ms: a page that is away again so soon after it was loaded anew is not there at all */
const AT_ONCE_MS = 30_000;
const KEY = 'dialoga.loaded-anew';

/** Whether an error says that a page's own code could not be fetched; each browser says it in its own words. */
export const isPageAway = (error: unknown): boolean =>
  error instanceof TypeError && /dynamically imported module|module script failed/i.test(error.message);

/**
 * The code of a page was not fetched: the server is away, or Dialoga was renewed meanwhile and has other pages now. In
 * both cases it is loaded anew as soon as the server answers.
 */
export function PageAway() {
  const [gone] = useState(() => Date.now() - Number(sessionStorage.getItem(KEY) ?? 0) < AT_ONCE_MS);
  useEffect(() => {
    if (gone) return;
    let timer: ReturnType<typeof setTimeout> | undefined;
    let left = false;
    const ask = () =>
      api.isThere().then((there) => {
        if (left) return;
        if (!there) timer = setTimeout(() => void ask(), RETRY_MS);
        else {
          sessionStorage.setItem(KEY, String(Date.now()));
          window.location.reload();
        }
      });
    void ask();
    return () => {
      left = true;
      clearTimeout(timer);
    };
  }, [gone]);
  return (
    <main>
      <Empty role="status">
        <h1>{gone ? 'This page cannot be loaded' : 'Waiting for the server'}</h1>
        <p>
          {gone
            ? 'The server answers, but does not have it. Load it again in a minute, or begin with the projects.'
            : 'This page was not loaded before. It opens here as soon as the server answers.'}
        </p>
        <p>
          Your edits are kept. <Link to="/">All projects</Link>
        </p>
      </Empty>
    </main>
  );
}
