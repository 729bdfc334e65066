import { explain, explainNothing, type Explained } from '../page/explained';
import { useRef, useState } from 'react';
import styled from 'styled-components';
import { useRefusal } from '../store/use-refusal';
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
  &[aria-invalid] {
    border-bottom: 2px solid ${colour.differs};
  }
`;

interface Props {
  id?: string;
  label: string;
  value: string;
  placeholder?: string;
  differs?: boolean;
  mono?: boolean;
  /** what F1 says of it */
  about?: Explained;
  onCommit: (text: string) => void;
}

/**
 * Text that is edited where it stands. Enter or leaving it commits, Escape takes the typing back. A text that is refused
 * stays, so that nothing has to be typed again.
 */
export function InlineInput({
  id,
  label,
  value,
  placeholder = '',
  differs = false,
  mono = true,
  about,
  onCommit,
}: Props) {
  const [draft, setDraft] = useState<string | null>(null);
  const [refused, setRefused] = useState(false);
  const refusalOf = useRefusal();
  /** what leaving it would do is done */
  const settled = useRef(false);
  const shown = draft ?? value;
  const reset = () => {
    setDraft(null);
    setRefused(false);
  };
  /** False where the text was refused. */
  const finish = (): boolean => {
    if (refused) return false;
    const taken = draft === null || draft === value || refusalOf(() => onCommit(draft)) === null;
    if (taken) reset();
    else setRefused(true);
    return taken;
  };
  const leave = (field: HTMLInputElement) => {
    settled.current = true;
    field.blur();
    settled.current = false;
  };
  return (
    <Field
      id={id}
      aria-label={label}
      aria-invalid={refused || undefined}
      value={shown}
      placeholder={placeholder}
      $differs={differs}
      $mono={mono}
      style={{ width: `${Math.max((shown || placeholder).length, 2) + 1.5}ch` }}
      onChange={(event) => {
        setDraft(event.target.value);
        setRefused(false);
      }}
      onFocus={() => about && explain(() => about)}
      onBlur={() => {
        explainNothing();
        if (!settled.current) finish();
      }}
      onKeyDown={(event) => {
        if (event.key === 'Enter' && finish()) leave(event.currentTarget);
        if (event.key === 'Escape') {
          reset();
          leave(event.currentTarget);
        }
      }}
      spellCheck={false}
      autoComplete="off"
    />
  );
}
