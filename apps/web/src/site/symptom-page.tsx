import { inOrder } from '@dialoga/core/model';
import { rankedCauses, symptomOf, type RankedCause } from '@dialoga/core/symptom';
import { Link, useParams, useSearchParams } from 'react-router';
import styled from 'styled-components';
import { linkToCell } from '../findings/link';
import { Says } from '../findings/says';
import { textOf } from '../findings/text-of';
import { Choice } from '../forms/choice';
import { NothingHere } from '../page/nothing-here';
import { useCounting } from '../store/checked';
import { useStateOf } from '../store/store';
import { PageTitle, Scroll, Section } from '../theme/parts';
import { colour, size, space } from '../theme/tokens';

const MOST_SHOWN = 3;

const Causes = styled.ol`
  margin-bottom: ${space[4]}px;
  padding-left: ${space[6]}px;
  max-width: 1100px;
  list-style: decimal;
  > li {
    padding: ${space[4]}px 0;
    border-bottom: 1px solid ${colour.hairline};
  }
  h2 {
    font-size: ${size.interface}px;
    font-weight: 600;
  }
  p,
  ul {
    margin: ${space[1]}px 0 0;
  }
  ul {
    padding-left: ${space[5]}px;
  }
`;
const Quiet = styled.span`
  color: ${colour.ink2};
`;

/** One symptom: its causes, likeliest here first, each with what is found of it and how to tell it from the next. */
export function SymptomPage() {
  const { project: address = '', symptom: id = '' } = useParams();
  const [search, setSearch] = useSearchParams();
  const project = useStateOf((s) => s.project.project)!;
  const edits = useStateOf((s) => s.findings.since);
  const findings = useCounting();
  const symptom = symptomOf(id);
  if (!symptom) {
    const back = { to: `/p/${address}/symptoms`, label: 'All symptoms' };
    return <NothingHere what="There is no such symptom." back={back} />;
  }
  const station = search.get('at') ?? '';
  // What came up since the project was opened comes before the rest, the last first.
  const since = new Map([...edits.keys()].map((key, i) => [key, i]));
  const at = station === '' ? undefined : placesOf(station);
  const ranked = rankedCauses(symptom, { findings, since, ...(at ? { at } : {}) });
  const stations = inOrder(project, 'station').map(({ id: value, name }) => ({ value, text: name }));
  return (
    <>
      <PageTitle>
        <h1>{symptom.words}</h1>
        <p>{symptom.also.join(' · ')}</p>
        <Choice
          label="Seen at"
          value={station}
          options={[{ value: '', text: 'any station' }, ...stations]}
          onChoose={(one) => setSearch(one === '' ? {} : { at: one }, { replace: true })}
        />
      </PageTitle>
      <Scroll>
        <Section aria-label="Causes">
          <Causes aria-label="Causes, likeliest first">
            {ranked.map((one) => (
              <CauseEntry key={one.usual} ranked={one} />
            ))}
          </Causes>
          <Quiet>
            Source: {symptom.source}. <Link to={`/p/${address}/symptoms`}>All symptoms</Link>
          </Quiet>
        </Section>
      </Scroll>
    </>
  );

  /** The station, its ends and the exchanges that it takes part in. */
  function placesOf(of: string): ReadonlySet<string> {
    const ends = [...project.all('end')].filter((end) => end.station === of);
    const routes = [...project.all('route')].filter(({ from, to }) => from === of || to === of);
    return new Set([
      of,
      ...ends.flatMap(({ id: end, exchange }) => [end, exchange]),
      ...routes.map((route) => route.id),
    ]);
  }
}

function CauseEntry({ ranked: { cause, findings } }: { ranked: RankedCause }) {
  const { project: address = '' } = useParams();
  const project = useStateOf((s) => s.project.project)!;
  return (
    <li>
      <h2>{cause.says}</h2>
      {findings.length === 0 && (
        <Quiet>{cause.codes.length === 0 ? 'No plan shows it.' : 'Not found in this plan.'}</Quiet>
      )}
      {findings.length > 0 && (
        <ul aria-label="Found in this plan">
          {findings.slice(0, MOST_SHOWN).map((finding) => {
            const { headline, says } = textOf(finding);
            const [cell] = finding.cells;
            return (
              <li key={finding.key}>
                {finding.code} · {cell ? <Link to={linkToCell(project, address, cell)}>{headline}</Link> : headline}
                {says.map((pieces, i) => {
                  const name = project.get('station', finding.parties[i]?.station ?? '')?.name ?? '';
                  return (
                    <div key={i}>
                      {!pieces[0]?.text.startsWith(name) && <Quiet>{name} </Quiet>}
                      <Says pieces={pieces} />
                    </div>
                  );
                })}
              </li>
            );
          })}
          {findings.length > MOST_SHOWN && <li>and {findings.length - MOST_SHOWN} more</li>}
        </ul>
      )}
      <p>
        To tell: {cause.tell} <Quiet>Where: {cause.look}.</Quiet>
      </p>
    </li>
  );
}
