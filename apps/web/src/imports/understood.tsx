import { DECIMALS, ENCODINGS, SEPARATORS, type Decimal, type Encoding, type Separator } from '@dialoga/core/formats';
import styled from 'styled-components';
import { Choice } from '../forms/choice';

import { colour, size, space } from '../theme/tokens';
import type { FileChoice, FileRead } from '../worker/list-file.worker';

const Columns = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(180px, 1fr));
  gap: ${space[2]}px ${space[4]}px;
  padding-top: ${space[3]}px;
  .field {
    display: grid;
    grid-template-columns: 76px minmax(0, 1fr);
    align-items: center;
  }
  .label {
    color: ${colour.ink2};
    font-size: ${size.data}px;
  }
`;

const SEPARATOR_WORDS: Record<Separator, string> = { '\t': 'tabs', ';': 'semicolons', ',': 'commas', '|': 'bars' };

/** What kind of file it was taken for, each point to be corrected. */
export function Understood({ read, onChoose }: { read: FileRead; onChoose: (choice: Partial<FileChoice>) => void }) {
  return (
    <>
      <strong>{read.format}</strong>
      {read.sheets.length > 1 && (
        <Choice
          label="sheet"
          value={String(read.sheet)}
          options={read.sheets.map((text, i) => ({ value: String(i), text }))}
          onChoose={(sheet) => onChoose({ sheet: Number(sheet), columns: undefined })}
        />
      )}
      {read.encoding && (
        <Choice
          label="encoding"
          value={read.encoding}
          options={ENCODINGS.map((one) => ({ value: one, text: one }))}
          onChoose={(encoding) => onChoose({ encoding: encoding as Encoding })}
        />
      )}
      {read.separator && (
        <Choice
          label="separated by"
          value={read.separator}
          options={SEPARATORS.map((one) => ({ value: one, text: SEPARATOR_WORDS[one] }))}
          onChoose={(separator) => onChoose({ separator: separator as Separator, columns: undefined })}
        />
      )}
      {read.decimal && (
        <Choice
          label="decimal"
          value={read.decimal}
          options={DECIMALS.map((one) => ({ value: one, text: one }))}
          onChoose={(decimal) => onChoose({ decimal: decimal as Decimal })}
        />
      )}
    </>
  );
}

interface ColumnsProps {
  read: FileRead;
  onChoose: (columns: Partial<Record<string, number>>) => void;
}

/** Which column of the file holds what, each with what stands in it first. */
export function ColumnChoices({ read, onChoose }: ColumnsProps) {
  const { titles, headings, columns, rows } = read.table!;
  const choose = (column: string, at: string) => {
    const next = { ...columns, [column]: Number(at) };
    if (at === '') delete next[column];
    onChoose(next);
  };
  return (
    <Columns role="group" aria-label="Columns of the file">
      {Object.entries(titles).map(([column, title]) => (
        <Choice
          key={column}
          label={title}
          value={String(columns[column] ?? '')}
          options={[
            { value: '', text: 'not in the file' },
            ...headings.map((heading, i) => {
              const sample = rows.find((row) => (row[i] ?? '') !== '')?.[i];
              const shown = sample ? `: ${sample.slice(0, 24)}` : '';
              return { value: String(i), text: `${heading || `column ${i + 1}`}${shown}` };
            }),
          ]}
          onChoose={(at) => choose(column, at)}
        />
      ))}
    </Columns>
  );
}
