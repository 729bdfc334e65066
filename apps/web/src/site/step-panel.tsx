import type { PlacedStep, Said } from '@dialoga/core/work';
import type { ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import styled from 'styled-components';
import { BoxButton, Section } from '../theme/parts';
import { colour, size, space } from '../theme/tokens';
import { byWords } from './work-rows';

const Facts = styled.ul`
  margin: 0 0 ${space[4]}px;
  padding: 0;
  list-style: none;
  li {
    display: flex;
    justify-content: space-between;
    gap: ${space[4]}px;
    padding: ${space[2]}px 0;
    border-bottom: 1px solid ${colour.hairline};
  }
  span {
    color: ${colour.ink2};
    font-size: ${size.data}px;
    text-align: right;
  }
`;
const Title = styled.h2`
  padding-bottom: ${space[3]}px;
`;
const Key = styled.kbd`
  margin-left: ${space[3]}px;
  color: ${colour.ink2};
  font: inherit;
  font-weight: 400;
`;
const Head = styled.h3`
  font-size: ${size.interface}px;
  font-weight: 600;
`;
const Buttons = styled.p`
  display: flex;
  flex-wrap: wrap;
  gap: ${space[3]}px;
  padding: ${space[2]}px 0 ${space[5]}px;
`;

interface Props {
  step: PlacedStep;
  all: readonly PlacedStep[];
  onTick: (state: Said['state']) => void;
  onAgain: () => void;
}

/** All of one step: what must be ready, what it does, what will look wrong and is not, what proves it. */
export function StepPanel({ step, all, onTick, onAgain }: Props) {
  const { project = '' } = useParams();
  const of = (key: string) => all.find((one) => one.key === key);
  const until = (key: string) => (of(key) ? `until step ${of(key)!.number}` : `until ${key}`);
  return (
    <Section aria-label={`Step ${step.number}`}>
      <Title>
        {step.number} · {step.what}
      </Title>
      {step.record && (
        <p>
          {byWords(step)}
          {step.record.reason && `: ${step.record.reason}`}
        </p>
      )}
      <Buttons>
        <BoxButton aria-keyshortcuts="Y" onPress={() => onTick('done')}>
          Done<Key>Y</Key>
        </BoxButton>
        <BoxButton aria-keyshortcuts="N" onPress={() => onTick('failed')}>
          Failed …<Key>N</Key>
        </BoxButton>
        <BoxButton aria-keyshortcuts="S" onPress={() => onTick('skipped')}>
          Skip …<Key>S</Key>
        </BoxButton>
        {step.record && <BoxButton onPress={onAgain}>Not said yet</BoxButton>}
      </Buttons>
      {step.kind === 'test' && (
        <p>
          <Link to={`/p/${project}/site/points?exchange=${step.about}`}>Point by point</Link>
        </p>
      )}
      <Part title="Must be ready" none="nothing more">
        {step.needs.map(({ what, stands }) => (
          <li key={what}>
            {what} <span>{stands || 'said by nobody yet'}</span>
          </li>
        ))}
      </Part>
      {step.effect !== '' && (
        <Part title="What it does to the plant" none="">
          <li>{step.effect}</li>
        </Part>
      )}
      {step.misleads.length > 0 && (
        <Part title="What will look wrong, and is not" none="">
          {step.misleads.map((one) => (
            <li key={one.what}>
              {one.what} <span>{until(one.until)}</span>
            </li>
          ))}
        </Part>
      )}
      <Part title="What proves it" none="">
        <li>{step.proof}</li>
      </Part>
      {step.after.length > 0 && (
        <Part title="Comes after" none="">
          {step.after.map(({ key, why }) => (
            <li key={key}>
              {of(key)?.number} · {of(key)?.what} <span>{why}</span>
            </li>
          ))}
        </Part>
      )}
    </Section>
  );
}

const Part = ({ title, none, children }: { title: string; none: string; children: ReactNode[] | ReactNode }) => (
  <>
    <Head>{title}</Head>
    <Facts aria-label={title}>{Array.isArray(children) && children.length === 0 ? <li>{none}</li> : children}</Facts>
  </>
);
