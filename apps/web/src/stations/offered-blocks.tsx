import { offeredBlocks, takeBlock } from '@dialoga/core/create';
import type { Station } from '@dialoga/core/model';
import { newId } from '../api/new-id';
import { useStateOf } from '../store/store';
import { TextButton } from '../theme/parts';
import { useEdits } from '../store/use-edits';

/** Blocks that the type of a station takes of its memory, as long as they are not reserved there: one press reserves one. */
export function OfferedBlocks({ station }: { station: Station }) {
  const project = useStateOf((s) => s.project.project)!;
  const commit = useEdits();
  return offeredBlocks(project, station).map((offer) => (
    <TextButton
      key={offer.key}
      onPress={() =>
        commit(`Reserve for ${offer.block.name}`, [
          { changes: takeBlock(project, station, offer, newId()), problem: null },
        ])
      }
    >
      Reserve the block of its {offer.block.name.toLowerCase()}
    </TextButton>
  ));
}
