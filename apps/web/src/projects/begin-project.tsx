import { createElement, useEffect, useState, type ComponentProps } from 'react';
import type { NewProject } from './new-project';

interface Props extends ComponentProps<typeof NewProject> {
  /** the server does not answer */
  away: boolean;
}

/**
 * The form that begins a project, fetched behind the list, which needs no form package to be shown. While the server is away it cannot
 * come; once that is back it is fetched again.
 */
export function BeginProject({ away, ...props }: Props) {
  const [fetched, setFetched] = useState<{ NewProject: typeof NewProject } | null>(null);
  useEffect(() => {
    if (fetched || away) return;
    let current = true;
    void import('./new-project').then(
      (module) => current && setFetched(module),
      () => undefined,
    );
    return () => {
      current = false;
    };
  }, [fetched, away]);
  return fetched ? createElement(fetched.NewProject, props) : <form />;
}
