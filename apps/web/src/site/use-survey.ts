import { useEffect, useState } from 'react';
import { useStateOf } from '../store/store';
import { checker } from '../worker/checker';

export type SurveyNow = NonNullable<Awaited<ReturnType<ReturnType<typeof checker>['survey']>>>;

/** ms: so often it is looked whether *not seen* may be said by now */
const AGAIN_MS = 5000;

/** What was found beside the plan, as the worker makes it, anew after each edit. Null: it is not known yet. */
export function useSurvey(): SurveyNow | null {
  const ready = useStateOf((s) => s.findings.ready);
  const project = useStateOf((s) => s.project.project);
  const [survey, setSurvey] = useState<SurveyNow | null>(null);
  const [turn, setTurn] = useState(0);
  const waits = survey?.missing.some(({ wait }) => wait > 0) ?? false;
  useEffect(() => {
    if (!ready) return;
    let open = true;
    void checker()
      .survey(new Date().toISOString())
      .then((made) => open && setSurvey(made));
    return () => {
      open = false;
    };
  }, [ready, project, turn]);
  useEffect(() => {
    if (!waits) return;
    const timer = setTimeout(() => setTurn(turn + 1), AGAIN_MS);
    return () => clearTimeout(timer);
  }, [waits, turn]);
  return survey;
}
