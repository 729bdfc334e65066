import type { Finding } from '@dialoga/core/finding';
import { lanesOf } from '@dialoga/core/finding';
import { childrenOf, type Exchange, type Project } from '@dialoga/core/model';
import { useState } from 'react';
import { Dialog, Heading } from 'react-aria-components';
import { useLocation } from 'react-router';
import { onlyNotTold } from '../findings/only-not-told';
import { FixAll } from '../findings/fix-group';
import { Overlay, Panel } from '../page/overlay';
import { useCounting } from '../store/checked';
import { useStateOf } from '../store/store';

/** All ready fixes of what the page shows: of an exchange, of a station, or of everything. */
export function FixAllDialog({ onClose }: { onClose: () => void }) {
  const { pathname } = useLocation();
  const project = useStateOf((s) => s.project.project)!;
  const counting = useCounting();
  // As it was asked for: what is mended meanwhile makes no other question of it.
  const [{ name, findings }] = useState(() => shownIn(project, pathname, counting));
  return (
    <Overlay isOpen isDismissable onOpenChange={(open) => !open && onClose()}>
      <Panel>
        <Dialog>
          <Heading slot="title" level={2}>
            {onlyNotTold(findings) ? `Tell both ends of ${name}` : `Fix all of ${name}`}
          </Heading>
          <FixAll name={name} findings={findings} onClose={onClose} />
        </Dialog>
      </Panel>
    </Overlay>
  );
}

function shownIn(
  project: Project,
  pathname: string,
  counting: readonly Finding[],
): { name: string; findings: readonly Finding[] } {
  const [, page, id = ''] = /\/(exchanges|stations|tags)\/([^/]+)/.exec(pathname) ?? [];
  const exchange = page === 'exchanges' ? project.get('exchange', id) : undefined;
  const station = page === 'exchanges' ? undefined : project.get('station', id);
  if (exchange) return { name: exchange.name, findings: counting.filter((f) => isOf(project, exchange, f)) };
  if (!station) return { name: project.info.name, findings: counting };
  const own = ({ about, parties }: Finding) => about.id === id || parties.some((party) => party.station === id);
  return { name: station.name, findings: counting.filter(own) };
}

/** What is found of an exchange, of its stations, and between them alone. */
function isOf(project: Project, { id, via }: Exchange, finding: Finding): boolean {
  if (finding.about.kind === 'exchange') return finding.about.id === id;
  if (lanesOf(finding).some((lane) => project.get('lane', lane)?.exchange === id)) return true;
  if (finding.about.kind !== 'station' && finding.about.kind !== 'network') return false;
  const stations = [...childrenOf(project, 'end', id).map(({ station }) => station), via];
  return finding.parties.every(({ station }) => stations.includes(station));
}
