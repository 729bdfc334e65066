import type { Fix } from '@dialoga/core/check';
import type { Finding } from '@dialoga/core/finding';
import { useEffect, useEffectEvent, useState } from 'react';
import { useAppDispatch, useStateOf } from '../store/store';
import { checker } from '../worker/checker';
import type { FixesAsked } from '../worker/checker.worker';
import { askedOf } from './fix-finding';

/** What the worker says of findings, asked again whenever they, the project or the steps to undo change. */
export function useOfFindings<T>(
  findings: readonly Finding[],
  nothing: T,
  ask: (asked: FixesAsked) => Promise<T>,
  same: (a: T, b: T) => boolean = Object.is,
): T {
  const dispatch = useAppDispatch();
  const project = useStateOf((s) => s.project.project);
  const undo = useStateOf((s) => s.project.undo);
  const [said, setSaid] = useState(nothing);
  const question = useEffectEvent(() => ask(dispatch(askedOf(findings))));
  const take = useEffectEvent((next: T) => setSaid((known) => (same(known, next) ? known : next)));
  useEffect(() => {
    if (findings.length === 0) return;
    let current = true;
    void question().then(
      (next) => current && take(next),
      () => undefined,
    );
    return () => void (current = false);
  }, [findings, project, undo]);
  return findings.length === 0 ? nothing : said;
}

const NO_FIXES: readonly Fix[] = [];
const NO_FINDINGS: readonly Finding[] = [];

/** The ready fixes of a finding, the proposed one first. */
export function useFixes(finding: Finding): readonly Fix[] {
  const [findings, setFindings] = useState([finding]);
  if (findings[0] !== finding) setFindings([finding]);
  return useOfFindings(findings, NO_FIXES, async (asked) => (await checker().fixes(asked))[0]?.[1] ?? NO_FIXES);
}

const NO_LABELS: ReadonlyMap<string, string> = new Map();
const alike = (a: ReadonlyMap<string, string>, b: ReadonlyMap<string, string>) =>
  a.size === b.size && [...a].every(([key, label]) => b.get(key) === label);

/** What the proposed fix of each does, in words, by key; as long as nothing of it changes, the same map. */
export const useFirstFixes = (findings: readonly Finding[]): ReadonlyMap<string, string> =>
  useOfFindings(findings, NO_LABELS, async (asked) => new Map(await checker().firstFixes(asked)), alike);

/** The same of one finding, or of none. */
export function useFirstFix(finding: Finding | undefined): string | undefined {
  const [findings, setFindings] = useState(NO_FINDINGS);
  if (findings[0] !== finding) setFindings(finding ? [finding] : NO_FINDINGS);
  return useFirstFixes(findings).get(finding?.key ?? '');
}
