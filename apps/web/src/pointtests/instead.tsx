import { useEffect, useRef, useState } from 'react';
import styled from 'styled-components';
import { BoxButton, Input } from '../theme/parts';
import { font, size, space } from '../theme/tokens';

/** What is asked for, with what was typed already. */
export interface AskedInstead {
  result: 'not seen' | 'skipped';
  text: string;
}

const Form = styled.form`
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto auto;
  gap: ${space[3]}px;
  align-items: end;
  label {
    display: grid;
    gap: ${space[2]}px;
  }
  input {
    min-height: 44px;
    font: 400 20px ${font.code};
  }
  button {
    min-height: 44px;
    font-size: ${size.prose}px;
  }
`;

interface Props {
  asked: AskedInstead;
  expected: string;
  onSaid: (text: string) => void;
  onClose: () => void;
}

/** What stood there in place of what was expected, or why a point is skipped. */
export function Instead({ asked: { result, text: begun }, expected, onSaid, onClose }: Props) {
  const [text, setText] = useState(begun);
  // Where the focus was it is again afterwards: the next key counts.
  const before = useRef(document.activeElement);
  useEffect(() => {
    const from = before.current;
    return () => {
      if (from instanceof HTMLElement) from.focus();
    };
  }, []);
  const skips = result === 'skipped';
  const lacks = skips && text.trim() === '';
  return (
    <Form
      aria-label={skips ? 'Why it is skipped' : 'What was seen instead'}
      onSubmit={(event) => {
        event.preventDefault();
        if (!lacks) onSaid(text.trim());
      }}
      onKeyDown={(event) => {
        if (event.key !== 'Escape') return;
        event.stopPropagation();
        onClose();
      }}
    >
      <label>
        {skips ? 'Why is it skipped?' : expected ? `What stands there in place of ${expected}?` : 'What came instead?'}
        <Input
          autoFocus
          placeholder={skips ? 'valve not mounted' : 'nothing moved'}
          value={text}
          onChange={(event) => setText(event.target.value)}
        />
      </label>
      <BoxButton type="submit" isDisabled={lacks}>
        {skips ? 'Skip it' : text.trim() === '' ? 'Nothing moved' : 'Not seen'}
      </BoxButton>
      <BoxButton onPress={onClose}>Cancel</BoxButton>
    </Form>
  );
}
