import { createExchange, kindsForPair, protocolsForPair, rolesFor } from '@dialoga/core/exchange';
import { inOrder, type ExchangeKind } from '@dialoga/core/model';
import { useMemo } from 'react';
import { Dialog, Heading } from 'react-aria-components';
import { Controller, useForm, useWatch } from 'react-hook-form';
import { useNavigate, useParams } from 'react-router';
import styled from 'styled-components';
import { Choice } from '../forms/choice';
import { NameChoice } from '../forms/name-choice';
import { Overlay, Panel } from '../page/overlay';
import { edit } from '../store/editing';
import { newId } from '../api/new-id';
import { useAppDispatch, useStateOf } from '../store/store';
import { BoxButton, Input } from '../theme/parts';
import { colour, size, space } from '../theme/tokens';
import { endsWished } from './ends-wished';

const Form = styled.form`
  display: grid;
  grid-template-columns: 150px 1fr;
  gap: ${space[4]}px;
  align-items: center;
  > label,
  .field {
    display: contents;
  }
  label > span,
  .label {
    color: ${colour.ink2};
  }
  footer {
    grid-column: 1 / -1;
    display: flex;
    gap: ${space[4]}px;
  }
  p {
    grid-column: 1 / -1;
  }
  p.under {
    grid-column: 2;
    margin-top: -${space[3]}px;
    color: ${colour.ink2};
    font-size: ${size.data}px;
  }
`;

/** What an end does in words of its kind, where that says more than who calls. */
const LEFT: Partial<Record<ExchangeKind, string>> = { 'shared variables': 'offers', 'remote I/O': 'controller' };
const RIGHT: Partial<Record<ExchangeKind, string>> = { 'shared variables': 'takes', 'remote I/O': 'head' };

interface Wished {
  left: string;
  right: string;
  /** '': the first that suits the two */
  kind: ExchangeKind | '';
  protocol: string;
  /** '': by the two stations */
  name: string;
}

/** Where it is begun from: a station, two of them, a port; each by its id. */
export interface From {
  from?: string;
  to?: string;
  through?: string;
}

interface Props extends From {
  onClose: () => void;
}

/** Begins an exchange: the two stations, which may be new, then kind and protocol, those first that suit these two. */
export function NewExchange({ from, to, through, onClose }: Props) {
  const { project: projectId = '' } = useParams();
  const navigate = useNavigate();
  const dispatch = useAppDispatch();
  const project = useStateOf((s) => s.project.project)!;
  const stations = inOrder(project, 'station');
  const nameOf = (id: string | undefined, otherwise: string) =>
    stations.find((one) => one.id === id)?.name ?? otherwise;
  const [first, second] = stations.map(({ name }) => name);
  const left = nameOf(from, first ?? '');
  const right = nameOf(to, [first, second].find((name) => name !== undefined && name !== left) ?? '');
  const { control, handleSubmit, setValue, register, formState, setError } = useForm<Wished>({
    defaultValues: { left, right, kind: '', protocol: '', name: '' },
  });
  const wished = useWatch({ control }) as Wished;
  const ends = useMemo(
    () => endsWished(project, [wished.left, wished.right], newId),
    [project, wished.left, wished.right],
  );
  const [a, b] = ends.stations;
  const pair = [a?.id ?? '', b?.id ?? ''] as const;
  const kinds = kindsForPair(ends.project, pair).map((choice) => choice.kind);
  const kind = wished.kind || kinds[0]!;
  const protocols = protocolsForPair(ends.project, kind, pair);
  const protocol = protocols.some(({ id }) => id === wished.protocol) ? wished.protocol : protocols[0]!.id;
  const proposed = `${a?.name ?? ''} – ${b?.name ?? ''}`;

  const begin = handleSubmit(({ name }) => {
    if (!a || !b || a.id === b.id) {
      setError('root', { message: 'An exchange is between two different stations; a new one is made from its name.' });
      return;
    }
    const as = name.trim() || proposed;
    const made = createExchange(ends.project, { name: as, kind, protocol, stations: pair, through }, newId);
    const refusal = dispatch(edit(`New exchange ${as}`, [...ends.changes, ...made.changes]));
    if (refusal) return setError('root', { message: refusal });
    onClose();
    void navigate(`/p/${projectId}/exchanges/${made.id}`);
  });
  const names = stations.map((one) => one.name);
  const station = (side: 'left' | 'right', label: string, words: string) => (
    <>
      <Controller
        control={control}
        name={side}
        render={({ field }) => (
          <NameChoice
            label={label}
            names={names}
            value={field.value}
            placeholder="a station, or a new one: OvenCtl, byte memory, 10.8.2.9"
            autoFocus={side === 'left'}
            onChange={(text) => {
              field.onChange(text);
              setValue('kind', '');
            }}
          />
        )}
      />
      {words !== '' && <p className="under">{words}</p>}
    </>
  );
  return (
    <Overlay isOpen isDismissable onOpenChange={(open) => !open && onClose()}>
      <Panel>
        <Dialog>
          <Heading slot="title" level={2}>
            New exchange
          </Heading>
          <Form onSubmit={(event) => void begin(event)}>
            {station('left', `Left station (${LEFT[kind] ?? rolesFor(kind)[0]})`, ends.words[0])}
            {station('right', `Right station (${RIGHT[kind] ?? rolesFor(kind)[1]})`, ends.words[1])}
            <Choice
              label="Kind"
              value={kind}
              options={kinds.map((one) => ({ value: one, text: one }))}
              onChoose={(one) => {
                setValue('kind', one as ExchangeKind);
                setValue('protocol', '');
              }}
            />
            <Choice
              label="Protocol"
              value={protocol}
              options={protocols.map(({ id, name, why }) => ({ value: id, text: why ? `${name} (${why})` : name }))}
              onChoose={(one) => setValue('protocol', one)}
            />
            <label>
              <span>Name</span>
              <Input placeholder={proposed} {...register('name')} />
            </label>
            {formState.errors.root && <p role="alert">{formState.errors.root.message}</p>}
            <footer>
              <BoxButton type="submit">Create</BoxButton>
              <BoxButton onPress={onClose}>Cancel</BoxButton>
            </footer>
          </Form>
        </Dialog>
      </Panel>
    </Overlay>
  );
}
