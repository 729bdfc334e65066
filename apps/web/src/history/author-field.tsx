import { useState } from 'react';
import styled from 'styled-components';
import { currentAuthor, LONGEST_AUTHOR, nameAuthor } from '../api/author';
import { Input } from '../theme/parts';
import { colour, space } from '../theme/tokens';

const Label = styled.label`
  display: flex;
  align-items: baseline;
  gap: ${space[3]}px;
  color: ${colour.ink2};
  white-space: nowrap;
  input {
    width: 180px;
  }
`;

/** Who edits in this browser: the name stands in the history, and where two edits meet. */
export function AuthorField() {
  const [name, setName] = useState(currentAuthor);
  return (
    <Label>
      Your edits are signed
      <Input
        value={name}
        placeholder="your name"
        maxLength={LONGEST_AUTHOR}
        autoComplete="name"
        onChange={(event) => {
          setName(event.target.value);
          nameAuthor(event.target.value);
        }}
      />
    </Label>
  );
}
