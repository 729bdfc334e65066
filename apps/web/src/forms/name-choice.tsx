import { Button, ComboBox, Input, Label } from 'react-aria-components';
import styled from 'styled-components';
import { Chevron } from '../marks/chevron';
import { colour, space } from '../theme/tokens';
import { OptionList } from './option-list';

const Box = styled.div`
  display: flex;
  min-width: 0;
  min-height: 26px;
  border: 1px solid ${colour.edge};
  background: ${colour.sheet};
  &:focus-within {
    outline: 2px solid ${colour.focus};
    outline-offset: 1px;
  }
  input {
    flex: 1;
    min-width: 0;
    padding: 0 ${space[3]}px;
    border: 0;
    background: none;
    outline: none;
  }
  button {
    padding: 0 ${space[2]}px;
    border: 0;
    background: none;
    cursor: pointer;
  }
`;

interface Props {
  label: string;
  value: string;
  /** names that are there; any other text may be typed */
  names: readonly string[];
  placeholder?: string;
  autoFocus?: boolean;
  onChange: (text: string) => void;
}

/** A name that is there, found by typing, or one that is not yet. */
export const NameChoice = ({ label, value, names, placeholder = '', autoFocus = false, onChange }: Props) => (
  <ComboBox className="field" allowsCustomValue menuTrigger="input" inputValue={value} onInputChange={onChange}>
    <Label className="label">{label}</Label>
    <Box>
      <Input placeholder={placeholder} autoFocus={autoFocus} spellCheck={false} />
      <Button>
        <Chevron open />
      </Button>
    </Box>
    <OptionList options={names.map((name) => ({ value: name, text: name }))} />
  </ComboBox>
);
