import styled from 'styled-components';
import type { RehearsalView } from '../api/client';
import type { useRehearsal } from '../store/use-rehearsal';
import { TextButton } from '../theme/parts';
import { space } from '../theme/tokens';

/** Seconds of the plant in a second, in words. */
const PACES: readonly (readonly [pace: number, words: string])[] = [
  [1, 'as outside'],
  [0.1, 'ten times slower'],
  [0.01, 'a hundred times slower'],
  [0, 'stands'],
];
/** ms */
const STEPS: readonly number[] = [1, 10, 100, 1000];

const Line = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 0 ${space[4]}px;
  margin-bottom: ${space[3]}px;
  [aria-pressed='true'] {
    font-weight: 600;
    text-decoration: underline;
  }
`;

/** How fast time goes in a rehearsal; while it stands, one step after the other. */
export function TimeLine({ view, act }: { view: RehearsalView; act: ReturnType<typeof useRehearsal>['act'] }) {
  return (
    <Line role="group" aria-label="Time of the plant">
      <span>Time</span>
      {PACES.map(([pace, words]) => (
        <TextButton
          key={pace}
          aria-pressed={view.pace === pace}
          onPress={() => act({ what: 'pace', id: '', value: pace })}
        >
          {words}
        </TextButton>
      ))}
      {view.pace === 0 && (
        <>
          <span>on by</span>
          {STEPS.map((step) => (
            <TextButton key={step} onPress={() => act({ what: 'step', id: '', value: step })}>
              {step} ms
            </TextButton>
          ))}
          <span>at {(view.now / 1000).toFixed(3)} s</span>
        </>
      )}
    </Line>
  );
}
