import { explain, explainNothing, type Explained } from '../page/explained';
import styled from 'styled-components';
import { colour } from '../theme/tokens';

const Field = styled.select<{ $differs: boolean }>`
  border: 0;
  border-bottom: ${({ $differs }) => ($differs ? `2px solid ${colour.differs}` : `1px solid ${colour.hairline}`)};
  padding: 0;
  background: ${colour.paper};
  max-width: 260px;
  field-sizing: content;
  &:hover {
    border-bottom-color: ${colour.ink};
  }
`;

interface Props {
  id?: string;
  label: string;
  value: string;
  differs?: boolean;
  /** what F1 says of it */
  about?: Explained;
  options: readonly { value: string; text: string }[];
  onChoose: (value: string) => void;
}

/** A choice that stands in a sentence. */
export function InlineSelect({ id, label, value, differs = false, about, options, onChoose }: Props) {
  return (
    <Field
      id={id}
      aria-label={label}
      value={value}
      $differs={differs}
      onFocus={() => about && explain(() => about)}
      onBlur={explainNothing}
      onChange={(event) => onChoose(event.target.value)}
    >
      {options.map((option) => (
        <option key={option.value} value={option.value}>
          {option.text}
        </option>
      ))}
    </Field>
  );
}
