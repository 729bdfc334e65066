import { useEffect, useState } from 'react';
import { useKeys } from '../page/keys';

/** What the value lab is opened with. */
export interface LabBegin {
  seen: string;
  expected: string;
  /** opened anew */
  token: number;
}

const OPEN = 'dialoga-value-lab';
let token = 0;

/** Opens the value lab from anywhere. */
export const openLab = (begin: Partial<Omit<LabBegin, 'token'>> = {}): void =>
  void document.dispatchEvent(new CustomEvent(OPEN, { detail: begin }));

/** The text of the cell that has the focus, where it may be something that was read off. */
function focusedValue(): string {
  const cell = document.activeElement?.closest('[role="gridcell"]');
  const text = cell?.textContent?.trim() ?? '';
  return /^[−-]?[\d.,]+(E[−+-]?\d+)?$|^(0x|16#)?[0-9A-F ]+$|^'.*'$/i.test(text) ? text : '';
}

/** Whether the lab is open, and with what; Ctrl+Shift+V opens it with the value at the cursor. */
export function useLab() {
  const [begin, setBegin] = useState<LabBegin | null>(null);
  useEffect(() => {
    const open = (event: Event) => {
      const { seen = '', expected = '' } = (event as CustomEvent<Partial<LabBegin>>).detail;
      setBegin({ seen, expected, token: ++token });
    };
    document.addEventListener(OPEN, open);
    return () => document.removeEventListener(OPEN, open);
  }, []);
  useKeys((event) => {
    if (!(event.ctrlKey || event.metaKey) || !event.shiftKey || event.key.toLowerCase() !== 'v') return;
    event.preventDefault();
    openLab({ seen: focusedValue() });
  }, 'before all else');
  return { begin, close: () => setBegin(null) };
}
