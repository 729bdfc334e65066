import { editField, LANE } from '@dialoga/core/fields';
import {
  affectedBy,
  composed,
  follow,
  hopSamples,
  waysThrough,
  type Age,
  type Hop,
  type HopSample,
} from '@dialoga/core/follow';
import { typingNow } from '../entities/use-shown';
import { InlineInput } from '../forms/inline-input';
import { useEdits } from '../store/use-edits';
import { Dialog, Heading } from 'react-aria-components';
import { Link, useParams } from 'react-router';
import styled from 'styled-components';
import { linkToCell } from '../findings/link';
import { Overlay, Panel } from '../page/overlay';
import { VERDICT_WORDS, VerdictMark } from '../marks/verdict-mark';
import { useStateOf } from '../store/store';
import { BoxButton, Code } from '../theme/parts';
import { colour, size, space } from '../theme/tokens';

const Wide = styled(Panel)`
  width: 860px;
  max-height: calc(100vh - 96px);
  overflow: auto;
  h3 {
    padding-top: ${space[4]}px;
  }
`;

const List = styled.ol`
  margin: 0;
  padding: 0;
  list-style: none;
  li {
    display: grid;
    grid-template-columns: minmax(0, 1.2fr) minmax(0, 2fr) minmax(0, 1fr) 96px;
    gap: ${space[3]}px;
    align-items: baseline;
    min-height: 26px;
    border-bottom: 1px solid ${colour.hairline};
  }
  small {
    color: ${colour.ink2};
    font-size: ${size.data}px;
  }
`;

interface Props {
  claim: string;
  item: string | null;
  onClose: () => void;
}

/** Where a value comes from and where it goes, hop by hop, with how old it can be at the end. */
export function FollowDialog({ claim, item, onClose }: Props) {
  const { project: projectId = '' } = useParams();
  const project = useStateOf((s) => s.project.project)!;
  const goes = follow(project, claim, item, 'forward');
  const comes = follow(project, claim, item, 'back');
  const commit = useEdits();
  const samples = hopSamples(project, goes);
  const reached = affectedBy(project, claim);
  const lane = project.get('lane', project.get('claim', claim)?.lane ?? '');
  const [start] = goes;
  const name = start && project.get('station', start.station)?.name;
  return (
    <Overlay isOpen isDismissable onOpenChange={(open) => !open && onClose()}>
      <Wide>
        <Dialog>
          <Heading slot="title" level={2} dir="auto">
            Signal path: {start?.name ?? 'a value'} of {name}
          </Heading>
          <h3>It goes to</h3>
          <Hops hops={goes} samples={samples} nothing="Nothing takes it from there." />
          <Ways hops={goes} />
          <h3>It comes from</h3>
          <Hops hops={comes} nothing="Nothing puts it there: it begins here." />
          {lane && (
            <p>
              Where it is used it may be{' '}
              <InlineInput
                label="Most age allowed"
                value={lane.mostAge ? `${lane.mostAge} ms` : ''}
                placeholder="no limit"
                onCommit={(text) => commit('Age allowed', [editField(LANE, 'mostAge', lane, text, typingNow(project))])}
              />{' '}
              old; its shortest signal lasts{' '}
              <InlineInput
                label="Shortest signal"
                value={lane.shortest ? `${lane.shortest} ms` : ''}
                placeholder="not set"
                onCommit={(text) =>
                  commit('Shortest signal', [editField(LANE, 'shortest', lane, text, typingNow(project))])
                }
              />
            </p>
          )}
          <h3>Who is affected when it changes</h3>
          {reached.length === 0 && <p>Nobody else.</p>}
          <ul>
            {reached.map(({ station, why, what, cell }, i) => (
              <li key={i} dir="auto">
                <Link to={linkToCell(project, projectId, cell)}>{project.get('station', station)?.name}</Link>, {what}{' '}
                <small>{why}</small>
              </li>
            ))}
          </ul>
          <footer style={{ paddingTop: space[4] }}>
            <BoxButton autoFocus onPress={onClose}>
              Close
            </BoxButton>
          </footer>
        </Dialog>
      </Wide>
    </Overlay>
  );
}

/** Each way to its last station, all hops composed: what arrives there in the end. */
function Ways({ hops }: { hops: readonly Hop[] }) {
  const project = useStateOf((s) => s.project.project)!;
  const ways = waysThrough(hops).filter((way) => way.at(-1)!.station !== way[0]!.station);
  if (ways.length === 0) return null;
  return (
    <ul aria-label="From end to end">
      {ways.map((way, i) => {
        const { verdict, why } = composed(project, way);
        return (
          <li key={i} dir="auto">
            <VerdictMark verdict={verdict} /> From end to end, to {project.get('station', way.at(-1)!.station)?.name}:{' '}
            {VERDICT_WORDS[verdict]}
            {why && `, ${why}`}
          </li>
        );
      })}
    </ul>
  );
}

interface HopsProps {
  hops: readonly Hop[];
  /** what a telling value looks like at each */
  samples?: readonly (HopSample | null)[];
  nothing: string;
}

function Hops({ hops, samples, nothing }: HopsProps) {
  const { project: projectId = '' } = useParams();
  const project = useStateOf((s) => s.project.project)!;
  if (hops.length < 2) return <p>{nothing}</p>;
  const unknown = [...new Set(hops.slice(1).flatMap((hop) => hop.age.unknown))];
  return (
    <>
      <List>
        {hops.map((hop, i) => (
          <li key={`${hop.holder.id} ${hop.item} ${i}`}>
            <span style={{ paddingLeft: hop.depth * 16 }} dir="auto">
              <Link
                to={linkToCell(project, projectId, {
                  ...hop.holder,
                  path:
                    hop.holder.kind === 'copy' ? ['to'] : hop.item === null ? ['place'] : ['items', hop.item, 'name'],
                })}
              >
                {project.get('station', hop.station)?.name}
              </Link>
              , {hop.name}
            </span>
            <span>
              <Code>{hop.address || 'no address yet'}</Code>
              {hop.swap !== '' && <small> {hop.swap}</small>}
              {samples?.[i] && (
                <small style={{ paddingLeft: space[4] }}>
                  <Code>{samples[i].bytes}</Code> {samples[i].value}
                </small>
              )}
            </span>
            <small dir="auto">{hop.by}</small>
            <small title={[...hop.age.terms, ...hop.age.unknown.map((u) => `${u}: not known`)].join(' + ')}>
              {ageWords(hop.age, i)}
            </small>
          </li>
        ))}
      </List>
      {unknown.length > 0 && <p>Not known yet, and not counted: {unknown.join(', ')}.</p>}
    </>
  );
}

/** `at most 619 ms`, or `619 ms and more` where a term is not known. */
const ageWords = ({ ms, unknown }: Age, i: number): string =>
  i === 0 ? '' : unknown.length === 0 ? `at most ${Math.round(ms)} ms` : `${Math.round(ms)} ms and more`;
