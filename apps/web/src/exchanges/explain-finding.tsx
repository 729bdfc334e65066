import { lanesOf, type Finding } from '@dialoga/core/finding';
import { Dialog, Heading } from 'react-aria-components';
import { ExplainDialog } from './explain-dialog';
import { Overlay, Panel } from '../page/overlay';
import { useCounting } from '../store/checked';
import { useStateOf } from '../store/store';
import { BoxButton } from '../theme/parts';
import { FindingExplained } from '../findings/finding-explained';

/** What a finding rests on: that of a lane with the whole comparison of its ends, any other by itself. */
export function ExplainFinding({ finding, onClose }: { finding: Finding; onClose: () => void }) {
  const project = useStateOf((s) => s.project.project);
  const counting = useCounting();
  const [first] = lanesOf(finding);
  const lane = first && project?.get('lane', first);
  if (lane) {
    const findings = counting.filter((f) => lanesOf(f).includes(lane.id));
    return <ExplainDialog lane={lane} item={finding.item} findings={findings} onClose={onClose} />;
  }
  return (
    <Overlay isOpen isDismissable onOpenChange={(open) => !open && onClose()}>
      <Panel>
        <Dialog>
          <Heading slot="title" level={2} dir="auto">
            {finding.about.name}: {finding.label}
          </Heading>
          <FindingExplained finding={finding} />
          <BoxButton autoFocus onPress={onClose}>
            Close
          </BoxButton>
        </Dialog>
      </Panel>
    </Overlay>
  );
}
