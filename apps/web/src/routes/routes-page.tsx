import { inOrder } from '@dialoga/core/model';
import { useStateOf } from '../store/store';
import { Empty, PageTitle, Scroll, Section, SectionHead } from '../theme/parts';
import { ReachGrid } from './reach-grid';
import { RoutesGrid } from './routes-grid';
import { useWays } from './use-ways';

/** All routes, and who must, or must not, reach whom. */
export function RoutesPage() {
  const project = useStateOf((s) => s.project.project)!;
  const ways = useWays();
  const [routes, expectations] = [inOrder(project, 'route'), inOrder(project, 'expectation')];
  return (
    <>
      <PageTitle>
        <h1>Routes</h1>
        <p>
          {routes.length === 1 ? '1 route' : `${routes.length} routes`},{' '}
          {expectations.length === 1 ? '1 expectation' : `${expectations.length} expectations`}
        </p>
      </PageTitle>
      <Scroll>
        <Section aria-label="Routes between stations">
          <SectionHead>
            <h2>Routes between stations</h2>
            <p>Enter on the way opens it hop by hop</p>
          </SectionHead>
          {routes.length === 0 && (
            <Empty>
              No route is kept yet. Type the two stations below, as A → B: the way, its text and what stands against it
              follow.
            </Empty>
          )}
          <RoutesGrid ways={ways} />
        </Section>
        <Section aria-label="Required and forbidden access">
          <SectionHead>
            <h2>Required and forbidden access</h2>
            <p>with gateways, subnets, and what passes what</p>
          </SectionHead>
          <ReachGrid ways={ways} />
        </Section>
      </Scroll>
    </>
  );
}
