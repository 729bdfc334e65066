import { withRecords } from '@dialoga/core/work';
import { useMemo } from 'react';
import { useStateOf } from '../store/store';
import { checker } from '../worker/checker';
import { useWorkedOut } from './use-worked-out';

export type WorkNow = NonNullable<Awaited<ReturnType<ReturnType<typeof checker>['work']>>>;

/** What is to be done on site, in its order; what was ticked shows at once, all else when the worker has its answer. */
export function useWork(): WorkNow | null {
  const project = useStateOf((s) => s.project.project);
  const work = useWorkedOut(() => checker().work());
  return useMemo(() => work && project && { ...work, ...withRecords(work, project) }, [work, project]);
}
