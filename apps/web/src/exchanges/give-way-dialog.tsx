import type { Change } from '@dialoga/core/change';
import { affectedBy } from '@dialoga/core/follow';
import { laneName } from '@dialoga/core/lane';
import { childrenOf, type End, type Lane } from '@dialoga/core/model';
import { giveWay } from '@dialoga/core/sheet';
import { Dialog, Heading } from 'react-aria-components';
import styled from 'styled-components';
import { FixPreview } from '../findings/fix-preview';
import { Overlay, Panel } from '../page/overlay';
import { useStateOf } from '../store/store';
import { BoxButton } from '../theme/parts';
import { colour, size, space } from '../theme/tokens';

const Wide = styled(Panel)`
  width: 860px;
  max-height: calc(100vh - 96px);
  overflow: auto;
  footer {
    padding-top: ${space[4]}px;
  }
`;

const Two = styled.div`
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: ${space[5]}px;
  section {
    min-width: 0;
  }
  p,
  small {
    font-size: ${size.data}px;
    color: ${colour.ink2};
  }
`;

interface Props {
  lane: Lane;
  ends: readonly [left: End, right: End];
  onGive: (changes: Change[], station: string) => void;
  onClose: () => void;
}

/** The two remedies for a lane that differs: either end gives way, with all that it changes and whom else it reaches. */
export function GiveWayDialog({ lane, ends, onGive, onClose }: Props) {
  const project = useStateOf((s) => s.project.project)!;
  return (
    <Overlay isOpen isDismissable onOpenChange={(open) => !open && onClose()}>
      <Wide>
        <Dialog>
          <Heading slot="title" level={2} dir="auto">
            {laneName(project, lane)}: which end adapts?
          </Heading>
          <Two>
            {ends.map((end) => {
              const changes = giveWay(project, lane, end);
              const station = project.get('station', end.station)?.name ?? '';
              const claim = childrenOf(project, 'claim', lane.id).find((c) => c.end === end.id);
              const reached = claim ? affectedBy(project, claim.id) : [];
              return (
                <section key={end.id} aria-label={`${station} adapts`}>
                  <BoxButton isDisabled={changes.length === 0} onPress={() => onGive(changes, station)}>
                    {changes.length === 0 ? `${station} has nothing to adapt` : `${station} adapts`}
                  </BoxButton>
                  {changes.length > 0 && <FixPreview changes={changes} />}
                  {changes.length > 0 && reached.length > 0 && (
                    <>
                      <p>It reaches:</p>
                      <ul>
                        {reached.map(({ station: at, why, what }, i) => (
                          <li key={i} dir="auto">
                            {project.get('station', at)?.name}, {what} <small>{why}</small>
                          </li>
                        ))}
                      </ul>
                    </>
                  )}
                </section>
              );
            })}
          </Two>
          <footer>
            <BoxButton autoFocus onPress={onClose}>
              Cancel
            </BoxButton>
          </footer>
        </Dialog>
      </Wide>
    </Overlay>
  );
}
