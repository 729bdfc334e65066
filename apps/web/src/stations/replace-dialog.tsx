import type { Replacement } from '@dialoga/core/profiles';
import { AskDialog } from '../forms/ask-dialog';
import { Code } from '../theme/parts';

interface Props {
  title: string;
  plan: Replacement;
  onTake: () => void;
  onClose: () => void;
}

/** What another type for a station converts, and what is lost by it, before it is done. */
export function ReplaceDialog({ title, plan, onTake, onClose }: Props) {
  const { rules, converted, lost } = plan;
  return (
    <AskDialog
      title={title}
      take="Change profile"
      onTake={onTake}
      onClose={onClose}
      outcome={
        converted.length > 0 && (
          <>
            <h3>Written otherwise, at the same bits</h3>
            <table>
              <tbody>
                {converted.map((c) => (
                  <tr key={c.claim.id}>
                    <td>{c.claim.name || 'a lane'}</td>
                    <td>
                      <Code>{c.before}</Code> to <Code>{c.after}</Code>
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </>
        )
      }
    >
      {lost.length > 0 && (
        <>
          <p>Lost, for the new type has no way to write them; they stay as typed:</p>
          <ul>
            {lost.map((l) => (
              <li key={l.claim.id}>
                {l.claim.name || 'a lane'} at <Code>{l.before}</Code>
              </li>
            ))}
          </ul>
        </>
      )}
      {rules.length > 0 && (
        <>
          <p>Other rules for values in memory:</p>
          <ul>
            {rules.map((rule) => (
              <li key={rule}>{rule}</li>
            ))}
          </ul>
        </>
      )}
    </AskDialog>
  );
}
