import { tallyOf } from '@dialoga/core/check';
import { childrenOf, type Party } from '@dialoga/core/model';
import { reservedBlocks } from '@dialoga/core/profiles';
import { Link, useParams } from 'react-router';
import styled from 'styled-components';
import { Term } from '../forms/term';
import { NothingHere } from '../page/nothing-here';
import { Counts } from '../marks/counts';
import { useCounting } from '../store/checked';
import { askPath } from '../page/ask-path';
import { useStateOf } from '../store/store';
import { PageTitle, Scroll, Section, SectionHead } from '../theme/parts';
import { colour, space } from '../theme/tokens';
import { BlockPartsGrid } from './block-parts-grid';
import { OfferedBlocks } from './offered-blocks';
import { AreasGrid } from './areas-grid';
import { CopiesGrid } from './copies-grid';
import { FactsSection } from './facts-section';
import { LandingsGrid } from './landings-grid';
import { LayoutSection } from './layout-section';
import { ModuleTypedIn } from './module-typed-in';
import { OccupancySection } from './occupancy-section';
import { OwnPortSection } from './own-port-section';
import { PortsGrid } from './ports-grid';
import { ReservationsGrid } from './reservations-grid';
import { SettingsGrid } from './settings-grid';
import { SlotsSection } from './slots-section';
import { ViewsGrid } from './views-grid';

const Touching = styled.ul`
  li {
    display: flex;
    gap: ${space[5]}px;
    padding: ${space[2]}px 0;
    border-bottom: 1px solid ${colour.hairline};
  }
`;

const PARTY_WORDS: Record<Party, string> = {
  own: 'ours',
  outside: 'external',
  'in another project': 'of another project',
};

/** One station: how it is wired, what memory it has and how that is written down, and what touches it. */
export function StationPage() {
  const { project: projectId = '', station: id = '' } = useParams();
  const project = useStateOf((s) => s.project.project)!;
  const counting = useCounting();
  const station = project.get('station', id);
  if (!station) {
    return (
      <NothingHere what="There is no such station." back={{ to: `/p/${projectId}/stations`, label: 'All stations' }} />
    );
  }
  const tags = project.referrers('tag', id).length;
  const touching = counting.filter((f) => f.parties.some((p) => p.station === id));
  const exchanges = [...new Set(childrenOf(project, 'end', id).map((e) => e.exchange))].flatMap(
    (e) => project.get('exchange', e) ?? [],
  );
  const ports = childrenOf(project, 'port', id).filter(({ enabled, network }) => enabled && network !== null);
  const profile = station.profile ? project.get('profile', station.profile) : undefined;
  return (
    <>
      <PageTitle>
        <h1 dir="auto">{station.name || 'Station without a name'}</h1>
        <p>
          {station.roles.join(', ') || 'no role yet'}, {PARTY_WORDS[station.party]}
          {station.supplier ? `, ${station.supplier}` : ''}
        </p>
        <Link to={`/p/${projectId}/stations/${id}/card`} style={{ marginLeft: 'auto' }}>
          Setting card
        </Link>
        <span>
          Findings: <Counts tally={tallyOf(touching)} all />
        </span>
      </PageTitle>
      <Scroll>
        <Section aria-label="Identification">
          <FactsSection station={station} />
        </Section>
        <Section aria-label="Ports">
          <SectionHead>
            <h2>Ports</h2>
            <p>an address with its mask: 10.48.10.11/24</p>
          </SectionHead>
          <PortsGrid station={id} />
        </Section>
        {station.roles.includes('workstation') && (
          <Section aria-label="Adapter to use">
            <OwnPortSection station={station} />
          </Section>
        )}
        <Section aria-label="Slots">
          <SlotsSection station={id} />
        </Section>
        <ModuleTypedIn station={station} />
        {station.roles.includes('controller') && (
          <Section aria-label="Landings">
            <SectionHead>
              <h2>
                <Term word="Module assignments" />
              </h2>
              <p>what {station.name || 'this station'} says of each module that it claims</p>
            </SectionHead>
            <LandingsGrid station={id} />
          </Section>
        )}
        <Section aria-label="Settings">
          <SectionHead>
            <h2>Settings</h2>
            <p>what has to be got into {station.name || 'this station'}, and whether it was sent since it changed</p>
          </SectionHead>
          <SettingsGrid station={station} />
        </Section>
        <Section aria-label="Areas">
          <SectionHead>
            <h2>Areas</h2>
            <p>what is addressable, and who besides the exchanges puts data there</p>
          </SectionHead>
          <AreasGrid station={id} />
        </Section>
        <Section aria-label="Who uses what">
          <OccupancySection station={id} />
        </Section>
        <Section aria-label="Tags">
          <SectionHead>
            <h2>Tags</h2>
            <p>named variables; one without an address is a memory of its own</p>
          </SectionHead>
          <p>
            <Link to={`/p/${projectId}/tags/${id}`}>{tags === 1 ? '1 tag' : `${tags} tags`}</Link>
          </p>
        </Section>
        <Section aria-label="Routes">
          <SectionHead>
            <h2>Routes</h2>
            <p>who reaches it, through what, and the text to type; Alt+R from here</p>
          </SectionHead>
          <p>
            <Link to={askPath(projectId, { to: id })}>The way to it</Link>
            {' · '}
            <Link to={askPath(projectId, { from: id })}>the way from it</Link>
          </p>
        </Section>
        <Section aria-label="Copies">
          <SectionHead>
            <h2>
              <Term word="Copies" />
            </h2>
            <p>what {station.name || 'this station'} moves inside itself, and who is meant to see it there</p>
          </SectionHead>
          <CopiesGrid station={id} />
        </Section>
        <Section aria-label="Views">
          <SectionHead>
            <h2>
              <Term word="Views" />
            </h2>
            <p>
              how addresses of each area are written{profile ? `; those of “${profile.name}” are its profile’s` : ''}
            </p>
          </SectionHead>
          <ViewsGrid station={id} />
        </Section>
        <Section aria-label="Layout rule" style={{ maxWidth: 640 }}>
          <LayoutSection station={station} />
        </Section>
        <Section aria-label="Reserved ranges">
          <SectionHead>
            <h2>
              <Term word="Reserved ranges" />
            </h2>
            <p>taken by something else; what stands where in them, and what its program sets or sees there</p>
          </SectionHead>
          <ReservationsGrid station={id} />
          <OfferedBlocks station={station} />
          <BlockPartsGrid label="Parts of their blocks" blocksOf={(now) => reservedBlocks(now, id)} />
        </Section>
        <Section aria-label="Exchanges of this station">
          <SectionHead>
            <h2>Exchanges of this station</h2>
            <p>
              {exchanges.length === 0 && 'none yet; '}
              <Link to={`/p/${projectId}/exchanges`} state={{ begin: { from: id } }}>
                New exchange
              </Link>
              {ports.length > 1 &&
                ports.map((port) => (
                  <span key={port.id}>
                    {', '}
                    <Link to={`/p/${projectId}/exchanges`} state={{ begin: { from: id, through: port.id } }}>
                      through {port.name || port.address}
                    </Link>
                  </span>
                ))}
            </p>
          </SectionHead>
          <Touching>
            {exchanges.map((e) => (
              <li key={e.id}>
                <Link to={`/p/${projectId}/exchanges/${e.id}`}>{e.name || 'exchange without a name'}</Link>
                <Counts tally={tallyOf(touching.filter((f) => f.about.id === e.id))} />
              </li>
            ))}
          </Touching>
        </Section>
      </Scroll>
    </>
  );
}
