import { useEffect, useRef, useState, type RefObject } from 'react';
import { Popover } from 'react-aria-components';
import styled from 'styled-components';
import { colour, size, space } from '../theme/tokens';

const Said = styled(Popover)`
  max-width: 320px;
  padding: ${space[2]}px ${space[3]}px;
  border: 1px solid ${colour.edge};
  background: ${colour.sheet};
  color: ${colour.ink};
  font-size: ${size.data}px;
  pointer-events: none;
  box-shadow: 0 2px 8px color-mix(in srgb, ${colour.ink} 20%, transparent);
`;

/** ms that a pointer rests on a heading before it is explained */
const REST_MS = 600;

interface Shown {
  over: RefObject<HTMLElement | null>;
  help: string;
}

/** What a column is for, while a pointer rests on its heading; by keyboard F1 says it, with what can be typed. */
export function useHeadHelp() {
  const [shown, setShown] = useState<Shown | null>(null);
  const resting = useRef<ReturnType<typeof setTimeout>>(undefined);
  useEffect(() => () => clearTimeout(resting.current), []);
  const leave = () => {
    clearTimeout(resting.current);
    setShown(null);
  };
  const over = (heading: HTMLElement, help: string | undefined) => {
    leave();
    if (help !== undefined) resting.current = setTimeout(() => setShown({ over: { current: heading }, help }), REST_MS);
  };
  const tooltip = shown && (
    <Said triggerRef={shown.over} isOpen isNonModal placement="bottom start" offset={4}>
      <span role="status">{shown.help}</span>
    </Said>
  );
  return { over, leave, tooltip };
}
