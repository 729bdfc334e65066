import { set } from '@dialoga/core/change';
import { sampleBytes } from '@dialoga/core/data';
import {
  ALIGNMENTS,
  ASSUMED_LAYOUT,
  BOOL_PACKINGS,
  BYTE_ORDERS,
  NUMBERINGS,
  REGISTER_ORDERS,
  CHARACTER_SIZES,
  STRING_HEADERS,
  type LayoutRule,
  type Station,
} from '@dialoga/core/model';
import styled from 'styled-components';
import { Choice } from '../forms/choice';
import { Term } from '../forms/term';
import { useStateOf } from '../store/store';
import { Code, SectionHead } from '../theme/parts';
import { colour, space } from '../theme/tokens';
import { useEdits } from '../store/use-edits';

const Table = styled.div`
  display: grid;
  grid-template-columns: 140px minmax(0, 1fr);
  align-items: center;
  gap: ${space[2]}px ${space[4]}px;
  > span {
    color: ${colour.ink2};
  }
  > .field {
    display: contents;
  }
  .label {
    color: ${colour.ink2};
  }
  button {
    justify-self: start;
  }
`;

const Byte = styled(Code)`
  display: inline-block;
  padding: ${space[1]}px ${space[3]}px;
  border: 1px solid ${colour.edge};
  margin-right: -1px;
  &:nth-child(2n) {
    margin-right: ${space[3]}px;
  }
`;

const RULES: readonly { field: keyof LayoutRule; label: string; words: readonly string[] }[] = [
  { field: 'byteOrder', label: 'bytes in a word', words: BYTE_ORDERS },
  { field: 'registerOrder', label: 'words of a longer value', words: REGISTER_ORDERS },
  { field: 'boolPacking', label: 'one BOOL per', words: BOOL_PACKINGS },
  { field: 'boolNumbering', label: 'BOOLs numbered', words: NUMBERINGS },
  { field: 'stringHeader', label: 'before a text', words: STRING_HEADERS },
  { field: 'characters', label: 'one character a', words: CHARACTER_SIZES },
  { field: 'alignment', label: 'longer values at', words: ALIGNMENTS },
];

/** Alignments as multiples of bytes. */
const wordOf = (field: keyof LayoutRule, word: string): string =>
  field !== 'alignment'
    ? word
    : word === 'natural'
      ? 'multiples of their size'
      : word === '1'
        ? 'any byte'
        : `multiples of ${word} bytes`;

/** How values sit in this station's memory: from its profile unless it says otherwise, shown as sample bytes. */
export function LayoutSection({ station }: { station: Station }) {
  const project = useStateOf((s) => s.project.project)!;
  const commit = useEdits();
  const profile = station.profile ? project.get('profile', station.profile) : undefined;
  const base = { ...ASSUMED_LAYOUT, ...profile?.layout };
  const layout = { ...base, ...station.layout };
  return (
    <>
      <SectionHead>
        <h2>
          <Term word="Layout rule" />
        </h2>
        <p>{profile ? 'from its profile unless chosen here' : 'assumed unless chosen here'}</p>
      </SectionHead>
      <Table>
        {RULES.map(({ field, label, words }) => (
          <Choice
            key={field}
            label={label}
            value={station.layout?.[field] ?? ''}
            options={[
              { value: '', text: `${wordOf(field, base[field])} (${profile ? 'profile' : 'assumed'})` },
              ...words.map((word) => ({ value: word, text: wordOf(field, word) })),
            ]}
            onChoose={(word) => {
              const next = { ...station.layout, [field]: word || undefined };
              if (word === '') delete next[field];
              const rule = Object.keys(next).length > 0 ? next : null;
              commit(`${station.name}: ${label}`, [
                { changes: [set('station', station, ['layout'], rule)], problem: null },
              ]);
            }}
          />
        ))}
        <span>REAL 123.456 in memory</span>
        <span>
          {sampleBytes('REAL', layout, 16).map((byte, i) => (
            <Byte key={i}>{byte}</Byte>
          ))}
        </span>
        {Object.entries(profile?.limits ?? {}).map(([what, { value, source }]) => (
          <span key={what} style={{ display: 'contents' }}>
            <span>limit: {what}</span>
            <span>
              {value} <small>({source})</small>
            </span>
          </span>
        ))}
      </Table>
    </>
  );
}
