const SHOWN = 6;

/** What stands in the way of something, a few of it, and how many more. */
export function InTheWay({ clashes }: { clashes: readonly string[] }) {
  if (clashes.length === 0) return null;
  return (
    <>
      <p>Conflicts:</p>
      <ul>
        {clashes.slice(0, SHOWN).map((clash) => (
          <li key={clash}>{clash}</li>
        ))}
        {clashes.length > SHOWN && <li>and {clashes.length - SHOWN} more</li>}
      </ul>
    </>
  );
}
