import { useForm } from 'react-hook-form';
import { BoxButton, Input } from '../theme/parts';

interface Props {
  onName: (name: string) => void;
  /** the sentence to show */
  onRefused: (why: string) => void;
}

/** Begins a project under a name. */
export function NewProject({ onName, onRefused }: Props) {
  const { register, handleSubmit } = useForm({ defaultValues: { name: '' } });
  const submit = handleSubmit(
    ({ name }) => onName(name),
    () => onRefused('A project needs a name: type one beside “New project”.'),
  );
  return (
    <form onSubmit={(event) => void submit(event)}>
      <Input
        type="text"
        aria-label="Name of the new project"
        placeholder="name"
        {...register('name', { validate: (name) => name.trim() !== '' })}
      />
      <BoxButton type="submit">New project</BoxButton>
    </form>
  );
}
