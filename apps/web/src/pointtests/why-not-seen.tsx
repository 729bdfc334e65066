import type { Project } from '@dialoga/core/model';
import { whyNotSeen, type Point, type PointStanding } from '@dialoga/core/pointtest';
import { symptomOf } from '@dialoga/core/symptom';
import { useMemo } from 'react';
import { Link, useParams } from 'react-router';
import { openLab } from '../lab/open-lab';
import { BoxButton } from '../theme/parts';

interface Props {
  project: Project;
  point: Point;
  standing: PointStanding;
  expected: string;
}

/** What explains what was seen in place of what was expected, and the way to its causes. */
export function WhyNotSeen({ project, point, standing, expected }: Props) {
  const { project: address = '' } = useParams();
  const record = standing.records.find(({ result, basis }) => result === 'not seen' && basis === point.basis);
  const saw = record?.saw ?? '';
  const wanted = saw !== '' && record?.set ? record.set : expected;
  const { explanations, symptom } = useMemo(
    () => whyNotSeen(project, point, wanted, saw),
    [project, point, wanted, saw],
  );
  return (
    <div role="region" aria-label="What may be behind it">
      {explanations.slice(0, 2).map(({ sentence, detail }) => (
        <p key={sentence}>
          <b>{sentence}</b> {detail}
        </p>
      ))}
      {saw !== '' && explanations.length === 0 && (
        <p>No order, type or scale explains {saw}: another place may be read.</p>
      )}
      <p>
        <Link to={`/p/${address}/symptoms/${symptom}?at=${point.to.station}`}>
          {symptomOf(symptom)?.words ?? 'All symptoms'}: its causes
        </Link>{' '}
        {saw !== '' && (
          <BoxButton onPress={() => openLab({ seen: saw, expected: wanted.split(' = ')[0]! })}>Value lab</BoxButton>
        )}
      </p>
    </div>
  );
}
