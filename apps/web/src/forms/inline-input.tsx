import { useRef, useState } from 'react';
import styled from 'styled-components';
import { colour, font, size } from '../theme/tokens';

const Field = styled.input<{ $differs: boolean; $mono: boolean }>`
  border: 0;
  border-bottom: ${({ $differs }) => ($differs ? `2px solid ${colour.differs}` : `1px solid ${colour.hairline}`)};
  padding: 0 1px;
  background: none;
  font-family: ${({ $mono }) => ($mono ? font.code : 'inherit')};
  font-size: ${({ $mono }) => ($mono ? `${size.data}px` : 'inherit')};
  min-width: 2ch;
  &:hover {
    border-bottom-color: ${colour.ink};
  }
  &:focus {
    background: ${colour.sheet};
  }
`;

interface Props {
  id?: string;
  label: string;
  value: string;
  placeholder?: string;
  differs?: boolean;
  mono?: boolean;
  onCommit: (text: string) => void;
}

/** Text that is edited where it stands. Enter or leaving it commits, Escape takes the typing back. */
export function InlineInput({ id, label, value, placeholder = '', differs = false, mono = true, onCommit }: Props) {
  const [draft, setDraft] = useState<string | null>(null);
  const cancelled = useRef(false);
  const shown = draft ?? value;
  const finish = () => {
    if (draft !== null && draft !== value && !cancelled.current) onCommit(draft);
    cancelled.current = false;
    setDraft(null);
  };
  return (
    <Field
      id={id}
      aria-label={label}
      value={shown}
      placeholder={placeholder}
      $differs={differs}
      $mono={mono}
      style={{ width: `${Math.max((shown || placeholder).length, 2) + 1.5}ch` }}
      onChange={(event) => setDraft(event.target.value)}
      onBlur={finish}
      onKeyDown={(event) => {
        if (event.key === 'Enter') event.currentTarget.blur();
        if (event.key === 'Escape') {
          cancelled.current = true;
          event.currentTarget.blur();
        }
      }}
      spellCheck={false}
      autoComplete="off"
    />
  );
}
