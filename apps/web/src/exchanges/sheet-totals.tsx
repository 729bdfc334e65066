import { formatBits } from '@dialoga/core/place';
import { pageTotals } from '@dialoga/core/sheet';
import { memo, useDeferredValue } from 'react';
import { useStateOf } from '../store/store';
import { Totals } from './sheet-styles';

/** In words and in bytes. */
const both = (bits: number): string => (bits === 0 ? 'nothing' : `${formatBits(bits, 16)} (${formatBits(bits, 8)})`);

/** What each page's end writes and reads in all, and where it has room next; a moment after the verdict. */
export const SheetTotals = memo(function SheetTotals({ left, right }: { left: string; right: string }) {
  const project = useDeferredValue(useStateOf((s) => s.project.project))!;
  return (
    <Totals>
      {[left, right].map((id) => {
        const end = project.get('end', id);
        if (!end) return null;
        const totals = pageTotals(project, end);
        return (
          <span key={id}>
            writes {both(totals.writes)}, reads {both(totals.reads)}
            {totals.nextFree && (
              <>
                ; next free <code>{totals.nextFree}</code>
              </>
            )}
          </span>
        );
      })}
    </Totals>
  );
});
