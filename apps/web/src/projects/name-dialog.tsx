import { Dialog, Heading } from 'react-aria-components';
import { useForm } from 'react-hook-form';
import styled from 'styled-components';
import { Overlay, Panel } from '../page/overlay';
import { BoxButton, Input } from '../theme/parts';
import { space } from '../theme/tokens';

const Form = styled.form`
  display: grid;
  gap: ${space[4]}px;
  div {
    display: flex;
    gap: ${space[4]}px;
  }
`;

interface Props {
  title: string;
  text?: string;
  /** of the field */
  label: string;
  initial: string;
  action: string;
  /** rejects with the sentence to show */
  onName: (name: string) => Promise<unknown>;
  onClose: (done: boolean) => void;
}

/** Asks for a name: a new one, or the one that confirms. What the server refuses is shown beside what was typed. */
export function NameDialog({ title, text, label, initial, action, onName, onClose }: Props) {
  const { register, handleSubmit, setError, formState } = useForm({ defaultValues: { name: initial } });
  const problem = formState.errors.name?.message;
  const submit = handleSubmit(({ name }) =>
    onName(name)
      .then(() => onClose(true))
      .catch((error: Error) => setError('name', { message: error.message })),
  );
  return (
    <Overlay isOpen isDismissable onOpenChange={(open) => !open && onClose(false)}>
      <Panel>
        <Dialog>
          <Heading slot="title" level={2}>
            {title}
          </Heading>
          <Form onSubmit={(event) => void submit(event)}>
            {text && <p>{text}</p>}
            <Input autoFocus aria-label={label} aria-invalid={problem !== undefined} {...register('name')} />
            {problem && <p role="alert">{problem}</p>}
            <div>
              <BoxButton type="submit">{action}</BoxButton>
              <BoxButton onPress={() => onClose(false)}>Cancel</BoxButton>
            </div>
          </Form>
        </Dialog>
      </Panel>
    </Overlay>
  );
}
