import { useEffect, useRef, useState, type RefObject } from 'react';
import { Popover } from 'react-aria-components';
import styled from 'styled-components';
import { saidOver } from '../theme/said';

const Said = styled(Popover)`
  ${saidOver}
  pointer-events: none;
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
