import { typedNumber } from '@dialoga/core/text';
import type { Stimulus, Trace, TraceAsked, Watched } from '@dialoga/core/rehearse';
import { useEffect, useState } from 'react';
import { Controller, useForm, useWatch } from 'react-hook-form';
import { Link, useParams } from 'react-router';
import styled from 'styled-components';
import { Choice } from '../forms/choice';
import { Tick } from '../forms/tick';
import { NothingHere } from '../page/nothing-here';
import { useStateOf } from '../store/store';
import { BoxButton, Empty, Input, PageTitle, Scroll, Section, SectionHead } from '../theme/parts';
import { colour, size, space } from '../theme/tokens';
import { checker } from '../worker/checker';
import { TracePicture } from './trace-picture';

type Watch = Watched & { name: string; station: string };

const Form = styled.form`
  display: grid;
  grid-template-columns: 150px minmax(0, 1fr);
  gap: ${space[3]}px ${space[4]}px;
  align-items: baseline;
  > span {
    color: ${colour.ink2};
    font-size: ${size.data}px;
  }
  > div {
    display: flex;
    flex-wrap: wrap;
    gap: ${space[2]}px ${space[5]}px;
    align-items: center;
  }
  .field {
    max-width: 260px;
  }
  input {
    width: 90px;
  }
`;

const KINDS: readonly Stimulus['kind'][] = ['step', 'square', 'ramp', 'counter', 'walking one'];
/** Rows of one picture. */
const MOST = 12;

interface Fields {
  drive: string;
  kind: Stimulus['kind'];
  value: string;
  every: string;
  echoFrom: string;
  echoTo: string;
  armed: string;
  armedAt: string;
  length: string;
}

const idOf = ({ link, key, at }: Watched) => `${link}|${key}|${at}`;
const ms = (text: string, usual: number): number => Math.max(1, Number(typedNumber(text)?.value ?? usual)) * 1000;

/** Values over virtual time: what is set, what comes back, and how long each takes. The same each time. */
export function TracePage() {
  const { project: address = '', exchange: id = '' } = useParams();
  const project = useStateOf((s) => s.project.project)!;
  const [all, setAll] = useState<Watch[]>([]);
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const [trace, setTrace] = useState<Trace | string | null>(null);
  const { register, control, handleSubmit } = useForm<Fields>({
    defaultValues: {
      drive: '',
      kind: 'step',
      value: '1',
      every: '200',
      echoFrom: '',
      echoTo: '',
      armed: '',
      armedAt: '1',
      length: '1000',
    },
  });
  const { drive, kind, echoFrom, armed } = useWatch({ control });
  useEffect(() => {
    let current = true;
    void checker()
      .watchable(id)
      .then((found) => {
        if (!current) return;
        setAll(found);
        setChosen((known) => (known.size > 0 ? known : new Set(found.slice(0, 4).map(idOf))));
      });
    return () => {
      current = false;
    };
  }, [project, id]);
  const exchange = project.get('exchange', id);
  if (!exchange) {
    const back = { to: `/p/${address}/rehearsal`, label: 'Rehearsal' };
    return <NothingHere what="There is no such exchange." back={back} />;
  }
  const watched = all.filter((one) => chosen.has(idOf(one))).slice(0, MOST);

  function go(fields: Fields) {
    const asked = askedOf(fields, all, watched);
    void checker().trace(asked).then(setTrace);
  }
  const submit = handleSubmit(go);
  const sources = all.filter(({ at }) => at === 'source');
  const sinks = all.filter(({ at }) => at === 'sink');
  const named = (list: readonly Watch[], none: string) => [
    { value: '', text: none },
    ...list.map((one) => ({ value: idOf(one), text: `${one.name} at ${one.station}` })),
  ];
  const choice = (name: keyof Fields, label: string, options: readonly { value: string; text: string }[]) => (
    <Controller
      control={control}
      name={name}
      render={({ field }) => (
        <Choice quiet label={label} value={field.value} options={options} onChoose={field.onChange} />
      )}
    />
  );
  return (
    <>
      <PageTitle>
        <h1 dir="auto">{exchange.name}</h1>
        <p>values over virtual time; the same each time it is run</p>
        <Link to={`/p/${address}/rehearsal/${id}`} style={{ marginLeft: 'auto' }}>
          Value by value
        </Link>
      </PageTitle>
      <Scroll>
        <Section aria-label="What is traced">
          <Form aria-label="What is traced" onSubmit={(event) => void submit(event)}>
            <span>Watch</span>
            <div>
              {all.map((one) => (
                <Tick
                  key={idOf(one)}
                  isSelected={chosen.has(idOf(one))}
                  onChange={(on) =>
                    setChosen((known) => {
                      const next = new Set(known);
                      if (on) next.add(idOf(one));
                      else next.delete(idOf(one));
                      return next;
                    })
                  }
                >
                  {one.name} at {one.station}
                </Tick>
              ))}
            </div>
            <span>Set</span>
            <div>
              {choice('drive', 'Value that is set', named(sources, 'nothing'))}
              {drive !== '' && (
                <>
                  {choice(
                    'kind',
                    'How it is set',
                    KINDS.map((kind) => ({ value: kind, text: kind })),
                  )}
                  to <Input aria-label="To which value" {...register('value')} />
                  {kind === 'step' ? 'after' : 'every'} <Input aria-label="Milliseconds" {...register('every')} /> ms
                </>
              )}
            </div>
            <span>Echo</span>
            <div>
              {choice('echoFrom', 'What comes in', named(sinks, 'nothing'))}
              {echoFrom !== '' && (
                <>
                  goes back by
                  {choice('echoTo', 'What goes back', named(sources, 'nothing'))}
                </>
              )}
            </div>
            <span>Begin when</span>
            <div>
              {choice('armed', 'Value that is waited for', named(watched, 'at once'))}
              {armed !== '' && (
                <>
                  is <Input aria-label="The value that it waits for" {...register('armedAt')} />
                </>
              )}
              for <Input aria-label="Length in milliseconds" {...register('length')} /> ms
              <BoxButton type="submit" isDisabled={watched.length === 0}>
                Trace
              </BoxButton>
              {trace && typeof trace !== 'string' && (
                <a href={csvAddress(trace)} download={`${exchange.name}.csv`}>
                  As CSV
                </a>
              )}
            </div>
          </Form>
        </Section>
        {typeof trace === 'string' && (
          <Section role="alert">
            <p>{trace}</p>
          </Section>
        )}
        {trace === null && all.length === 0 && (
          <Empty>Nothing of this exchange goes over yet that could be watched.</Empty>
        )}
        {trace && typeof trace !== 'string' && (
          <Section aria-label="Trace">
            <SectionHead>
              <h2>Trace</h2>
              {trace.began > 0 && <p>begun {Number((trace.began / 1000).toFixed(3))} ms after the plant</p>}
            </SectionHead>
            <TracePicture key={trace.length} trace={trace} />
          </Section>
        )}
      </Scroll>
    </>
  );
}

function askedOf(fields: Fields, all: readonly Watch[], watched: readonly Watch[]): TraceAsked {
  const find = (id: string) => all.find((one) => idOf(one) === id);
  const [set, from, to] = [find(fields.drive), find(fields.echoFrom), find(fields.echoTo)];
  const value = Number(typedNumber(fields.value)?.value ?? 1);
  const armed = watched.findIndex((one) => idOf(one) === fields.armed);
  return {
    watched: watched.map(({ link, key, at }) => ({ link, key, at })),
    drives: set
      ? [{ link: set.link, key: set.key, stimulus: stimulusOf(fields.kind, value, ms(fields.every, 200)) }]
      : [],
    echoes: from && to ? [{ from: from.link, fromKey: from.key, to: to.link, toKey: to.key }] : [],
    armed: armed < 0 ? null : { watched: armed, value: Number(typedNumber(fields.armedAt)?.value ?? 1) },
    length: Math.min(ms(fields.length, 1000), 60_000_000),
  };
}

function stimulusOf(kind: Stimulus['kind'], value: number, every: number): Stimulus {
  switch (kind) {
    case 'square':
      return { kind, low: 0, high: value, every };
    case 'ramp':
      return { kind, from: 0, to: value, every };
    case 'counter':
      return { kind, every, step: value };
    case 'walking one':
      return { kind, every };
    default:
      return { kind: 'step', before: 0, after: value, at: every };
  }
}

/** Time in ms, then each value; a line for each change. */
function csvAddress({ series }: Trace): string {
  const times = [...new Set(series.flatMap(({ points }) => points.map(([at]) => at)))].sort((a, b) => a - b);
  const quoted = (text: string) => `"${text.replace(/"/g, '""')}"`;
  const head = ['ms', ...series.map(({ name, station }) => quoted(`${name} at ${station}`))].join(',');
  const lines = times.map((time) =>
    [time / 1000, ...series.map(({ points }) => points.filter(([at]) => at <= time).at(-1)?.[1] ?? '')].join(','),
  );
  return `data:text/csv;charset=utf-8,${encodeURIComponent([head, ...lines, ''].join('\n'))}`;
}
