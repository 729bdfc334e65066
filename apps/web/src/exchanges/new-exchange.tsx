import { createExchange, kindsForPair, protocolsForPair, rolesFor } from '@dialoga/core/exchange';
import { inOrder, type ExchangeKind } from '@dialoga/core/model';
import { useState } from 'react';
import { Dialog, Heading } from 'react-aria-components';
import { useNavigate, useParams } from 'react-router';
import styled from 'styled-components';
import { Choice } from '../forms/choice';
import { Overlay, Panel } from '../page/overlay';
import { edit } from '../store/editing';
import { newId } from '../api/new-id';
import { useAppDispatch, useStateOf } from '../store/store';
import { BoxButton, Input } from '../theme/parts';
import { colour, space } from '../theme/tokens';

const Form = styled.form`
  display: grid;
  grid-template-columns: 130px 1fr;
  gap: ${space[4]}px;
  align-items: center;
  > label,
  .field {
    display: contents;
  }
  label > span,
  .field > label {
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
`;

/** What an end does in words of its kind, where that says more than who calls. */
const LEFT: Partial<Record<ExchangeKind, string>> = { 'shared variables': 'offers', 'remote I/O': 'controller' };
const RIGHT: Partial<Record<ExchangeKind, string>> = { 'shared variables': 'takes', 'remote I/O': 'head' };

/** Begins an exchange: a name, its kind and protocol, and the two stations. */
export function NewExchange({ onClose }: { onClose: () => void }) {
  const { project: projectId = '' } = useParams();
  const navigate = useNavigate();
  const dispatch = useAppDispatch();
  const project = useStateOf((s) => s.project.project)!;
  const stations = inOrder(project, 'station');
  const names = stations.map((one) => ({ value: one.id, text: one.name }));
  const [name, setName] = useState('');
  const [left, setLeft] = useState(stations[0]?.id ?? '');
  const [right, setRight] = useState(stations[1]?.id ?? '');
  // Those that suit the two come first; the first of them, until another is chosen.
  const kinds = kindsForPair(project, [left, right]).map((choice) => choice.kind);
  const [wished, setKind] = useState<ExchangeKind | null>(null);
  const kind = wished ?? kinds[0]!;
  const protocols = protocolsForPair(project, kind, [left, right]);
  /** null: the first, whatever that is for this pair */
  const [chosen, setProtocol] = useState<string | null>(null);
  const protocol = protocols.some(({ id }) => id === chosen) ? chosen! : protocols[0]!.id;
  const [problem, setProblem] = useState<string | null>(null);

  function begin() {
    if (name.trim() === '') return setProblem('The exchange needs a name, so that both sides can speak of it.');
    if (!left || !right || left === right) {
      return setProblem('An exchange is between two different stations. They are made under Stations.');
    }
    const { id, changes } = createExchange(
      project,
      { name: name.trim(), kind, protocol, stations: [left, right] },
      newId,
    );
    const refusal = dispatch(edit(`New exchange ${name.trim()}`, changes));
    if (refusal) return setProblem(refusal);
    onClose();
    void navigate(`/p/${projectId}/exchanges/${id}`);
  }
  const choice = (
    label: string,
    value: string,
    onChange: (value: string) => void,
    options: { value: string; text: string }[],
  ) => <Choice label={label} value={value} options={options} onChoose={onChange} />;
  return (
    <Overlay isOpen isDismissable onOpenChange={(open) => !open && onClose()}>
      <Panel>
        <Dialog>
          <Heading slot="title" level={2}>
            New exchange
          </Heading>
          <Form
            onSubmit={(event) => {
              event.preventDefault();
              begin();
            }}
          >
            <label>
              <span>Name</span>
              <Input autoFocus value={name} onChange={(event) => setName(event.target.value)} />
            </label>
            {choice(
              'Kind',
              kind,
              (next) => {
                setKind(next as ExchangeKind);
                setProtocol(null);
              },
              kinds.map((k) => ({ value: k, text: k })),
            )}
            {choice(`Left station (${LEFT[kind] ?? rolesFor(kind)[0]})`, left, setLeft, names)}
            {choice(`Right station (${RIGHT[kind] ?? rolesFor(kind)[1]})`, right, setRight, names)}
            {choice(
              'Protocol',
              protocol,
              setProtocol,
              protocols.map(({ id, name, why }) => ({ value: id, text: why ? `${name} (${why})` : name })),
            )}
            {problem && <p role="alert">{problem}</p>}
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
