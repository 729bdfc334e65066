import type { Verdict } from '@dialoga/core/lane';
import { VERDICT_WORDS, VerdictMark } from './verdict-mark';

/** A mark for each lane; read aloud as counts: `3 agreed, 2 differs`. */
export function LaneMarks({ verdicts, most = verdicts.length }: { verdicts: readonly Verdict[]; most?: number }) {
  return (
    <span role="img" aria-label={countsOf(verdicts)}>
      {verdicts.slice(0, most).map((verdict, i) => (
        <VerdictMark key={i} verdict={verdict} />
      ))}
    </span>
  );
}

function countsOf(verdicts: readonly Verdict[]): string {
  const words = Object.keys(VERDICT_WORDS) as Verdict[];
  const counted = words.map((word) => [verdicts.filter((verdict) => verdict === word).length, word] as const);
  return counted.flatMap(([count, word]) => (count > 0 ? [`${count} ${VERDICT_WORDS[word]}`] : [])).join(', ');
}
