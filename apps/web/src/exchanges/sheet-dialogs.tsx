import { lanesOf } from '@dialoga/core/finding';
import { laneName } from '@dialoga/core/lane';
import type { End, Exchange } from '@dialoga/core/model';
import { useCounting } from '../store/checked';
import { edit } from '../store/editing';
import { useAppDispatch, useStateOf } from '../store/store';
import { ExplainDialog } from './explain-dialog';
import { FillDialog } from './fill-dialog';
import { FollowDialog } from './follow-dialog';
import { GiveWayDialog } from './give-way-dialog';
import { MirrorDialog } from './mirror-dialog';
import { ShiftDialog } from './shift-dialog';
import type { FillFrom } from './use-sheet-typing';

/** What is asked over a sheet; null: nothing. */
export type Asked =
  | { what: 'explain' | 'give way'; lane: string; key: string | null }
  | { what: 'follow'; claim: string; key: string | null }
  | { what: 'mirror' | 'shift' }
  | { what: 'fill'; fill: FillFrom }
  | null;

interface Props {
  asked: Asked;
  exchange: Exchange;
  ends: readonly [End, End];
  onClose: () => void;
}

/** The dialog of what is asked over a sheet. */
export function SheetDialogs({ asked, exchange, ends, onClose }: Props) {
  const project = useStateOf((s) => s.project.project)!;
  const dispatch = useAppDispatch();
  const counting = useCounting();
  const take = (label: string, changes: Parameters<typeof edit>[1]) => {
    dispatch(edit(label, changes));
    onClose();
  };
  switch (asked?.what) {
    case 'explain': {
      const lane = project.get('lane', asked.lane);
      const findings = counting.filter((f) => lanesOf(f).includes(asked.lane));
      const item = asked.key === null ? {} : { item: asked.key };
      return lane ? <ExplainDialog lane={lane} {...item} findings={findings} onClose={onClose} /> : null;
    }
    case 'give way': {
      const lane = project.get('lane', asked.lane);
      if (!lane) return null;
      const give = (changes: Parameters<typeof edit>[1], station: string) =>
        take(`${laneName(project, lane)}: ${station} adapts`, changes);
      return <GiveWayDialog lane={lane} ends={[...ends]} onGive={give} onClose={onClose} />;
    }
    case 'follow':
      return <FollowDialog claim={asked.claim} item={asked.key} onClose={onClose} />;
    case 'mirror':
      return (
        <MirrorDialog
          {...{ project, exchange, onClose }}
          ends={[...ends]}
          onMirror={({ changes, rows }, from, to) =>
            take(`Mirror ${rows.length} ${rows.length === 1 ? 'lane' : 'lanes'} from ${from} to ${to}`, changes)
          }
        />
      );
    case 'shift':
      return (
        <ShiftDialog
          {...{ project, exchange, onClose }}
          ends={[...ends]}
          onShift={({ changes }, station) => take(`Shift ${changes.length} addresses of ${station}`, changes)}
        />
      );
    case 'fill': {
      const { fill } = asked;
      const onFill = (filled: { changes: Parameters<typeof edit>[1] }, count: number) =>
        take(`Fill ${count} ${fill.what.toLowerCase()}`, filled.changes);
      return <FillDialog {...fill} onFill={onFill} onClose={onClose} />;
    }
    default:
      return null;
  }
}
