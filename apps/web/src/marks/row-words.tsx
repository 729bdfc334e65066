import { Code, Differs } from '../theme/parts';

const SEPARATOR = ' · ';

/** A row in words; those that its other state does not have are underlined. */
export function RowWords({ text, other }: { text: string; other: string | null }) {
  const theirs = new Set(other?.split(SEPARATOR));
  return (
    <Code dir="auto">
      {text.split(SEPARATOR).map((part, i) => (
        <span key={i}>
          {i > 0 && SEPARATOR}
          {theirs.has(part) ? part : <Differs>{part}</Differs>}
        </span>
      ))}
    </Code>
  );
}
