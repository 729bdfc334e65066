import type { End, Exchange, Project } from '@dialoga/core/model';
import { mirrorLanes, type Mirrored } from '@dialoga/core/sheet';
import { useState } from 'react';
import { Choice } from '../forms/choice';
import { newId } from '../api/new-id';
import { Code } from '../theme/parts';
import { AskDialog } from '../forms/ask-dialog';
import { InTheWay } from './in-the-way';

const SHOWN = 8;

interface Props {
  project: Project;
  exchange: Exchange;
  ends: readonly [left: End, right: End];
  onMirror: (mirrored: Mirrored, from: string, to: string) => void;
  onClose: () => void;
}

/** Makes the lanes that one end has filled in for the other: what it would get is shown before anything is stored. */
export function MirrorDialog({ project, exchange, ends: [left, right], onMirror, onClose }: Props) {
  const name = (end: End) => project.get('station', end.station)?.name ?? 'a station that is gone';
  const plan = (from: End, to: End) => mirrorLanes(project, exchange, from, to, newId);
  // Begins with the page that has more to give.
  const [way, setWay] = useState(() =>
    plan(right, left).rows.length > plan(left, right).rows.length ? 'to the left' : 'to the right',
  );
  const [from, to] = way === 'to the right' ? [left, right] : [right, left];
  const mirrored = plan(from, to);
  const { rows, known, left: kept } = mirrored;
  return (
    <AskDialog
      title="Mirror a page"
      take={rows.length > 0 ? 'Mirror' : null}
      ready
      onTake={() => onMirror(mirrored, name(from), name(to))}
      onClose={onClose}
      outcome={
        <>
          <p>
            {rows.length === 0
              ? `${name(to)} already has every lane of ${name(from)}.`
              : `${name(to)} gets ${rows.length} ${rows.length === 1 ? 'lane' : 'lanes'}:`}
            {rows.length > 0 && known > 0 && ` the ${known} that it has stay as they are.`}
          </p>
          <table>
            <tbody>
              {rows.slice(0, SHOWN).map((row, i) => (
                <tr key={i}>
                  <td dir="auto">{row.name || 'without a name'}</td>
                  <td>{row.direction}</td>
                  <td>
                    <Code>{row.address}</Code>
                  </td>
                  <td>{row.told ? 'as told' : 'next free'}</td>
                </tr>
              ))}
            </tbody>
          </table>
          {rows.length > SHOWN && <p>and {rows.length - SHOWN} more</p>}
          <InTheWay clashes={kept.map((k) => `${k.name}: ${k.reason}`)} />
        </>
      }
    >
      <Choice
        label="From"
        autoFocus={rows.length === 0}
        value={way}
        options={[
          { value: 'to the right', text: `${name(left)} to ${name(right)}` },
          { value: 'to the left', text: `${name(right)} to ${name(left)}` },
        ]}
        onChoose={(chosen) => setWay(chosen as typeof way)}
      />
    </AskDialog>
  );
}
