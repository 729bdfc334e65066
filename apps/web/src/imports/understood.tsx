import { DECIMALS, ENCODINGS, SEPARATORS, type Decimal, type Encoding, type Separator } from '@dialoga/core/formats';
import styled from 'styled-components';
import { Select } from '../theme/parts';
import { colour, size, space } from '../theme/tokens';
import type { FileChoice, FileRead } from '../worker/list-file.worker';

const Columns = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(180px, 1fr));
  gap: ${space[2]}px ${space[4]}px;
  padding-top: ${space[3]}px;
  label {
    display: grid;
    grid-template-columns: 76px minmax(0, 1fr);
    align-items: center;
    color: ${colour.ink2};
    font-size: ${size.data}px;
  }
  select {
    width: 100%;
    min-width: 0;
  }
`;

const SEPARATOR_WORDS: Record<Separator, string> = { '\t': 'tabs', ';': 'semicolons', ',': 'commas', '|': 'bars' };

/** What kind of file it was taken for, each point to be corrected. */
export function Understood({ read, onChoose }: { read: FileRead; onChoose: (choice: Partial<FileChoice>) => void }) {
  return (
    <>
      <strong>{read.format}</strong>
      {read.sheets.length > 1 && (
        <label>
          sheet
          <Select value={read.sheet} onChange={(e) => onChoose({ sheet: Number(e.target.value), columns: undefined })}>
            {read.sheets.map((name, i) => (
              <option key={name} value={i}>
                {name}
              </option>
            ))}
          </Select>
        </label>
      )}
      {read.encoding && (
        <label>
          encoding
          <Select value={read.encoding} onChange={(e) => onChoose({ encoding: e.target.value as Encoding })}>
            {ENCODINGS.map((encoding) => (
              <option key={encoding}>{encoding}</option>
            ))}
          </Select>
        </label>
      )}
      {read.separator && (
        <label>
          separated by
          <Select
            value={read.separator}
            onChange={(e) => onChoose({ separator: e.target.value as Separator, columns: undefined })}
          >
            {SEPARATORS.map((separator) => (
              <option key={separator} value={separator}>
                {SEPARATOR_WORDS[separator]}
              </option>
            ))}
          </Select>
        </label>
      )}
      {read.decimal && (
        <label>
          decimal
          <Select value={read.decimal} onChange={(e) => onChoose({ decimal: e.target.value as Decimal })}>
            {DECIMALS.map((decimal) => (
              <option key={decimal}>{decimal}</option>
            ))}
          </Select>
        </label>
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
        <label key={column}>
          {title}
          <Select
            value={columns[column] ?? ''}
            aria-label={title}
            onChange={(event) => choose(column, event.target.value)}
          >
            <option value="">not in the file</option>
            {headings.map((heading, i) => {
              const sample = rows.find((row) => (row[i] ?? '') !== '')?.[i];
              return (
                <option key={i} value={i}>
                  {heading || `column ${i + 1}`}
                  {sample ? `: ${sample.slice(0, 24)}` : ''}
                </option>
              );
            })}
          </Select>
        </label>
      ))}
    </Columns>
  );
}
