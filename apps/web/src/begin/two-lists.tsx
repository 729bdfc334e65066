import { layTwoLists, type ListedSide, type TwoLists as Laid, type UnderstoodSide } from '@dialoga/core/sheet';
import { useDeferredValue, useMemo } from 'react';
import { Controller, useForm, useWatch } from 'react-hook-form';
import { useNavigate, useParams } from 'react-router';
import styled from 'styled-components';
import { newId } from '../api/new-id';
import { edit } from '../store/editing';
import { useAppDispatch, useStateOf } from '../store/store';
import { BoxButton, Input } from '../theme/parts';
import { colour, font, space } from '../theme/tokens';
import { ListField } from './list-field';
import { Understood } from './parts';

const Sides = styled.div`
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: ${space[4]}px;
`;

/** Its edge is that of the page that it becomes: single at the left, double at the right. */
const Side = styled.div<{ $right: boolean }>`
  padding-left: ${space[3]}px;
  border-left: ${({ $right }) => ($right ? `4px double ${colour.right}` : `2px solid ${colour.left}`)};
  > div {
    display: grid;
    grid-template-columns: 1.3fr 1fr;
    gap: ${space[3]}px;
    margin-bottom: ${space[3]}px;
  }
  input {
    font: 12px ${font.code};
  }
`;

const Pairs = styled(Understood)`
  margin: ${space[4]}px 0 ${space[2]}px;
`;

const EMPTY: ListedSide = { name: '', address: '', list: '' };
interface Lists {
  left: ListedSide;
  right: ListedSide;
}
const isReady = ({ left, right }: Lists) =>
  [left, right].every(({ name, list }) => name.trim() !== '' && list.trim() !== '');
const EXAMPLES: readonly [ListedSide, ListedSide] = [
  { name: 'CutterCtl', address: '10.8.2.12/24', list: 'Speed\tREAL\t%MW300\nLoad\tREAL\t%MW302\nState\tWORD\t%MW304' },
  { name: 'BakeCtl', address: '10.8.2.13', list: '40101\tspeed\tREAL\n40103\tload\tREAL\n40105\tstate\tWORD' },
];
const SIDES = ['left', 'right'] as const;

/** Two lists of one exchange, each as its side keeps it, become two stations and a sheet. */
export function TwoLists() {
  const { project: projectId = '' } = useParams();
  const navigate = useNavigate();
  const dispatch = useAppDispatch();
  const project = useStateOf((s) => s.project.project)!;
  const { control, register, handleSubmit } = useForm<Lists>({ defaultValues: { left: EMPTY, right: EMPTY } });
  const lists = useWatch({ control }) as Lists;
  const asked = useDeferredValue(lists);
  const ready = isReady(lists);
  const laid = useMemo(() => {
    const sides = [asked.left, asked.right] as const;
    return sides.some(({ list }) => list.trim() !== '') ? layTwoLists(project, sides, newId) : null;
  }, [project, asked]);

  function lay({ left, right }: Lists) {
    const { changes, exchange } = layTwoLists(project, [left, right], newId);
    if (dispatch(edit('Lay two lists side by side', changes)) === null) {
      void navigate(`/p/${projectId}/exchanges/${exchange}`);
    }
  }
  const submit = handleSubmit(lay);
  return (
    <form
      aria-label="Two lists of one exchange"
      onSubmit={(event) => void (ready ? submit(event) : event.preventDefault())}
    >
      <h2>Two lists of one exchange</h2>
      <p>as each side keeps it; columns in any order, with headings or without</p>
      <Sides>
        {SIDES.map((side, i) => {
          const at = i as 0 | 1;
          return (
            <Side key={side} $right={at === 1} role="group" aria-label={`The ${side} list`}>
              <div>
                <Input
                  aria-label={`Station of the ${side} list`}
                  placeholder={EXAMPLES[at].name}
                  {...register(`${side}.name`)}
                />
                <Input
                  aria-label={`Address of the ${side} station`}
                  placeholder={EXAMPLES[at].address}
                  {...register(`${side}.address`)}
                />
              </div>
              <Controller
                control={control}
                name={`${side}.list`}
                render={({ field: { value, onChange } }) => (
                  <ListField
                    aria-label={`Rows of the ${side} list`}
                    rows={13}
                    value={value}
                    placeholder={EXAMPLES[at].list}
                    onText={onChange}
                  />
                )}
              />
              <Understood role="status">
                {laid && lists[side].list.trim() !== '' && <SideWords side={laid.sides[at]} />}
              </Understood>
            </Side>
          );
        })}
      </Sides>
      <Pairs role="status">{laid && ready ? pairWords(laid) : ''}</Pairs>
      <BoxButton type="submit" isDisabled={!ready}>
        Lay them side by side
      </BoxButton>
    </form>
  );
}

function SideWords({ side: { rows, profile, read, addresses, problems } }: { side: UnderstoodSide }) {
  return (
    <>
      {rows} {rows === 1 ? 'row' : 'rows'}
      {profile && read > 0 && (
        <>
          {' · '}
          <strong>{profile}</strong>, by its addresses
        </>
      )}
      {read < addresses && ` · ${addresses - read} of ${addresses} addresses are not read`}
      {problems.length > 0 && ` · ${problems[0]}`}
    </>
  );
}

function pairWords({ sides, paired, by }: Laid): string {
  const alone = sides.map(({ rows }) => rows - paired);
  const over = alone[0]! + alone[1]!;
  return `${paired} ${paired === 1 ? 'pairs' : 'pair'} by ${by}${over > 0 ? `, ${over} left over` : ''}`;
}
