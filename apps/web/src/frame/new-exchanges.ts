import { createExchange, exchangesByNames } from '@dialoga/core/exchange';
import { useStore } from 'react-redux';
import { useNavigate, useParams } from 'react-router';
import { newId } from '../api/new-id';
import { edit } from '../store/editing';
import { useAppDispatch, type State } from '../store/store';
import type { Action } from './actions';

/** `new exchange CutterCtl → BakeCtl`: begins it, and leads to its sheet; the kind that suits the two comes first. */
export function useNewExchanges(): (asked: string) => Action[] {
  const { project: address = '' } = useParams();
  const navigate = useNavigate();
  const dispatch = useAppDispatch();
  const store = useStore<State>();
  return (asked) => {
    const { project } = store.getState().project;
    const [, names = ''] = /^(?:new\s+)?exchange\s+(.+)$/i.exec(asked) ?? [];
    if (names === '' || !project) return [];
    return exchangesByNames(project, names).map(({ wish, protocol }) => ({
      label: `New ${wish.kind}: ${wish.name}`,
      keys: `${protocol.name}${protocol.why ? ` (${protocol.why})` : ''}`,
      leads: true,
      run: () => {
        const { id, changes } = createExchange(project, wish, newId);
        if (dispatch(edit(`New exchange ${wish.name}`, changes)) === null)
          void navigate(`/p/${address}/exchanges/${id}`);
      },
    }));
  };
}
