import type { ReactNode } from 'react';
import { Label, ProgressBar } from 'react-aria-components';
import styled from 'styled-components';
import { useKeys } from '../page/keys';
import { stopWalk, walk } from '../store/walking';
import { useAppDispatch, useStateOf } from '../store/store';
import { BoxButton } from '../theme/parts';
import { colour, size, space } from '../theme/tokens';
import type { WalkAbout } from '../worker/walks';

const Right = styled.div`
  display: flex;
  gap: ${space[4]}px;
  align-items: center;
  margin-left: auto;
`;

const Going = styled(ProgressBar)`
  display: flex;
  gap: ${space[3]}px;
  align-items: center;
  color: ${colour.ink2};
  font-size: ${size.data}px;
  .way {
    width: 160px;
    height: 4px;
    background: ${colour.hairline};
  }
  .gone {
    height: 100%;
    background: ${colour.ink};
  }
`;

interface Props {
  about: WalkAbout;
  name: string;
  lanes: number;
  /** stands before the button */
  children?: ReactNode;
}

/** The button that walks what a page is about, and how far a walk is. */
export function WalkHead({ about, name, lanes, children }: Props) {
  const dispatch = useAppDispatch();
  const running = useStateOf((s) => s.walk.running);
  const go = () => dispatch(walk(about, name));
  useKeys((event) => {
    if (!event.altKey || event.key.toLowerCase() !== 'w') return;
    event.preventDefault();
    if (lanes > 0) go();
  });
  return (
    <Right>
      {children}
      {running && (
        <Going value={running.done} maxValue={Math.max(running.all, 1)}>
          {({ percentage = 0 }) => (
            <>
              <Label>
                {running.done} of {running.all} lanes
              </Label>
              <div className="way">
                <div className="gone" style={{ width: `${percentage}%` }} />
              </div>
            </>
          )}
        </Going>
      )}
      {running ? (
        <BoxButton onPress={() => dispatch(stopWalk())}>Stop</BoxButton>
      ) : (
        <BoxButton autoFocus aria-keyshortcuts="Alt+W" isDisabled={lanes === 0} onPress={go}>
          Walk all bits
        </BoxButton>
      )}
    </Right>
  );
}
