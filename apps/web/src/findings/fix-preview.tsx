import { apply, type Change } from '@dialoga/core/change';
import { compareRevisions, type ComparedRow } from '@dialoga/core/compare';
import styled from 'styled-components';
import { RowWords } from '../marks/row-words';
import { useStateOf } from '../store/store';
import { colour, size, space } from '../theme/tokens';

const MOST_ROWS = 12;

const List = styled.ul`
  padding: ${space[2]}px 0 ${space[2]}px ${space[3]}px;
  list-style: none;
  border-left: 1px solid ${colour.edge};
  font-size: ${size.data}px;
  li {
    padding: ${space[1]}px 0;
    overflow-wrap: anywhere;
  }
`;

/** A word in the text's own letters between two in those of code. */
const Becomes = styled.span`
  padding: 0 ${space[2]}px;
  color: ${colour.ink2};
`;

function changed(row: ComparedRow): { before: string | null; after: string | null }[] {
  return (row.kind === 'field' ? [row] : row.ends).filter((e) => e.before !== e.after);
}

/** What a fix would change, row by row, before it is taken. */
export function FixPreview({ changes }: { changes: readonly Change[] }) {
  const project = useStateOf((s) => s.project.project)!;
  const applied = apply(project, { id: 'preview', label: '', changes });
  if (!applied.ok) return <p>{applied.refusal.sentence}</p>;
  const { rows } = compareRevisions(project, project.with(applied.entities));
  return (
    <List aria-label="What it changes">
      {rows.slice(0, MOST_ROWS).map((row, i) => (
        <li key={i}>
          <strong dir="auto">{row.what}</strong>, {row.where}
          {changed(row).map(({ before, after }, k) => (
            <div key={k}>
              {before === null ? 'nothing' : <RowWords text={before} other={after} />}
              <Becomes> becomes </Becomes>
              {after === null ? 'nothing' : <RowWords text={after} other={before} />}
            </div>
          ))}
        </li>
      ))}
      {rows.length > MOST_ROWS && <li>and {rows.length - MOST_ROWS} more rows</li>}
    </List>
  );
}
