import { useEffect, useState } from 'react';
import { checker } from '../worker/checker';
import { useWorkedOut } from './use-worked-out';

export type SurveyNow = NonNullable<Awaited<ReturnType<ReturnType<typeof checker>['survey']>>>;

/** ms: so often it is looked whether *not seen* may be said by now */
const AGAIN_MS = 5000;

/** What was found beside the plan. */
export function useSurvey(): SurveyNow | null {
  const [turn, setTurn] = useState(0);
  const survey = useWorkedOut(() => checker().survey(new Date().toISOString()), turn);
  const waits = survey?.missing.some(({ wait }) => wait > 0) ?? false;
  useEffect(() => {
    if (!waits) return;
    const timer = setTimeout(() => setTurn(turn + 1), AGAIN_MS);
    return () => clearTimeout(timer);
  }, [waits, turn]);
  return survey;
}
