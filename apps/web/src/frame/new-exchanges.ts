import { exchangesByNames } from '@dialoga/core/exchange';
import type { Project } from '@dialoga/core/model';
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
  async function begin(project: Project, named: ReturnType<typeof exchangesByNames>[number]) {
    const { exchangeAsNamed } = await import('./make-exchange');
    const { id, changes } = exchangeAsNamed(project, named, newId);
    if (dispatch(edit(`New exchange ${named.wish.name}`, changes)) === null)
      await navigate(`/p/${address}/exchanges/${id}`);
  }
  return (asked) => {
    const { project } = store.getState().project;
    const [, names = ''] = /^(?:new\s+)?exchange\s+(.+)$/i.exec(asked) ?? [];
    if (names === '' || !project) return [];
    return exchangesByNames(project, names).map((named) => ({
      label: `New ${named.wish.kind}: ${named.wish.name}`,
      keys: `${named.protocol.name}${named.protocol.why ? ` (${named.protocol.why})` : ''}`,
      leads: true,
      run: () => void begin(project, named),
    }));
  };
}
