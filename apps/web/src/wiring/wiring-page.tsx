import { inOrder, type Project } from '@dialoga/core/model';
import { useState } from 'react';
import { useParams, useSearchParams } from 'react-router';
import styled from 'styled-components';
import { cellFromLink } from '../findings/link';
import { useStateOf } from '../store/store';
import { PageTitle, Section, SectionHead } from '../theme/parts';
import { colour } from '../theme/tokens';
import { AddressLedger } from './address-ledger';
import { AlsoTypedIn } from './also-typed-in';
import { AttachmentTable, type Chosen } from './attachment-table';
import { EthernetLoads } from './ethernet-loads';
import { GoesThrough } from './goes-through';
import { LineSettings } from './line-settings';
import { KindSettings, NetworksGrid } from './networks-grid';

const Beside = styled.div`
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-columns: minmax(0, 800fr) minmax(0, 480fr);
  @media (max-width: 1100px) {
    grid-template-columns: minmax(0, 1.9fr) minmax(0, 1fr);
  }
  @media (max-width: 900px) {
    grid-template-columns: none;
    overflow: auto;
    > :first-child {
      min-height: 420px;
    }
  }
`;

const Table = styled.div`
  display: flex;
  flex-direction: column;
  min-width: 0;
  min-height: 0;
  border-right: 1px solid ${colour.hairline};
`;

const Aside = styled.div`
  overflow: auto;
  min-width: 0;
`;

/** Who hangs on which network, under which address; and what depends on the one that is chosen. */
export function WiringPage() {
  const { project: projectId = '' } = useParams();
  const project = useStateOf((s) => s.project.project)!;
  const [search] = useSearchParams();
  const [chosen, setChosen] = useState<Chosen>({ network: null, port: null });
  const linked = chosenByLink(project, cellFromLink(search)?.id);
  const shown = chosen.network !== null && project.get('network', chosen.network) ? chosen : linked;
  const network =
    (shown.network !== null && project.get('network', shown.network)) || inOrder(project, 'network')[0] || null;
  const port = (shown.port !== null && project.get('port', shown.port)) || null;
  return (
    <>
      <PageTitle>
        <h1>Wiring</h1>
        <p>{summary(project)}</p>
      </PageTitle>
      <Beside>
        <Table>
          <AttachmentTable onChosen={setChosen} />
        </Table>
        <Aside>
          {network && (
            <Section aria-label="Addresses">
              <AddressLedger network={network} port={port} />
            </Section>
          )}
          {port && (
            <Section aria-label="Also typed in">
              <AlsoTypedIn port={port} projectId={projectId} />
            </Section>
          )}
          {port && (
            <Section aria-label="Who is affected">
              <GoesThrough port={port} projectId={projectId} />
            </Section>
          )}
          <LineSettings chosen={network} />
          <Section aria-label="Networks">
            <SectionHead>
              <h2>Networks</h2>
              <p>‘new’ as a subnet takes one that is free; Ctrl+Delete takes a network out</p>
            </SectionHead>
            <NetworksGrid />
            <KindSettings />
            <EthernetLoads />
          </Section>
        </Aside>
      </Beside>
    </>
  );
}

function chosenByLink(project: Project, id: string | undefined): Chosen {
  const port = id === undefined ? undefined : project.get('port', id);
  if (port) return { network: port.network, port: port.id };
  return { network: id !== undefined && project.get('network', id) ? id : null, port: null };
}

function summary(project: Project): string {
  const many = (count: number, one: string) => `${count} ${one}${count === 1 ? '' : 's'}`;
  const ports = [...project.all('port')];
  const loose = ports.filter((p) => p.network === null).length;
  const attached = `${many(ports.length - loose, 'port')} attached`;
  const rest = loose > 0 ? ` and ${loose} not connected` : '';
  return `${many(project.count('network'), 'network')}, ${many(project.count('station'), 'station')}, ${attached}${rest}`;
}
