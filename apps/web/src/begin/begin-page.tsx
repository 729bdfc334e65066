import { Link, useNavigate, useParams } from 'react-router';
import styled from 'styled-components';
import { openDemo } from '../api/open-demo';
import { projectSlice } from '../store/project-slice';
import { useAppDispatch } from '../store/store';
import { Code, PageTitle, Scroll, TextButton } from '../theme/parts';
import { colour, size, space } from '../theme/tokens';
import { StationList } from './station-list';
import { TwoLists } from './two-lists';

const Halves = styled.div`
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: ${space[6]}px;
  padding: ${space[5]}px ${space[4]}px;
  h2 + p {
    margin-bottom: ${space[4]}px;
    color: ${colour.ink2};
    font-size: ${size.data}px;
  }
`;

const Others = styled.dl`
  display: grid;
  grid-template-columns: 180px 1fr;
  margin: ${space[6]}px 0 0;
  border-top: 1px solid ${colour.edge};
  > * {
    margin: 0;
    padding: ${space[3]}px 0;
    border-bottom: 1px solid ${colour.hairline};
  }
  dd {
    color: ${colour.ink2};
  }
  button {
    padding: 0;
    text-decoration: underline;
    text-underline-offset: 3px;
  }
`;

/** The first minute of a project: whatever is at hand is enough to begin. */
export function BeginPage() {
  const { project = '' } = useParams();
  const navigate = useNavigate();
  const dispatch = useAppDispatch();
  const showDemo = () =>
    void openDemo()
      .then((demo) => navigate(`/p/${demo.id}/exchanges`))
      .catch((error: Error) => dispatch(projectSlice.actions.noticed(error.message)));
  return (
    <>
      <PageTitle>
        <h1>What do you have?</h1>
        <p>one of these is enough to begin; what is missing is asked for where it matters</p>
      </PageTitle>
      <Scroll>
        <Halves>
          <TwoLists />
          <div>
            <StationList />
            <Others>
              <dt>
                <Link to={`/p/${project}/hardware-list`}>A hardware list</Link>
              </dt>
              <dd>a file with order codes, slots and revisions becomes stations, racks and modules</dd>
              <dt>
                <Link to={`/p/${project}/stations`}>Stations one by one</Link>
              </dt>
              <dd>
                in the last row of the table: <Code>CutterCtl, byte memory, 10.8.2.12/24</Code>
              </dd>
              <dt>Two names</dt>
              <dd>
                Ctrl+K, then <Code>new exchange Cutter → Bake</Code>
              </dd>
              <dt>
                <TextButton onPress={showDemo}>Nothing yet</TextButton>
              </dt>
              <dd>opens the demo: a cold store whose five suppliers’ controls do not quite agree</dd>
            </Others>
          </div>
        </Halves>
      </Scroll>
    </>
  );
}
