import { dropWithDependents } from '@dialoga/core/change';
import { SETTING, settingRows } from '@dialoga/core/fields';
import type { Station } from '@dialoga/core/model';
import { EntityGrid } from '../entities/entity-grid';
import { useStateOf } from '../store/store';
import { useEdits } from '../store/use-edits';
import { formatWhen } from '../words/when';

/** Every value that has to be got into this station, whether it was sent since it changed, and whether it is in force. */
export function SettingsGrid({ station }: { station: Station }) {
  const project = useStateOf((s) => s.project.project)!;
  const commit = useEdits();
  return (
    <EntityGrid
      label="Settings"
      of={SETTING}
      rows={settingRows(project, station)}
      step="Edit settings"
      height={22}
      look={({ planned }, field) => {
        const { setting, text, state, cell } = planned;
        if (field === 'planned') return { mono: cell.path.length > 0 };
        if (field === 'found') return { differs: Boolean(setting?.found) && setting?.found !== text };
        if (field === 'state') return { differs: state === 'changed since sent' };
        if (field !== 'said' || !setting?.at) return undefined;
        return { text: `${setting.by || 'not named'}, ${formatWhen(setting.at)}` };
      }}
      onDrop={({ planned: { setting } }) => {
        if (!setting) return;
        commit('Clear setting status', [
          { changes: dropWithDependents(project, 'setting', setting.id), problem: null },
        ]);
      }}
    />
  );
}
