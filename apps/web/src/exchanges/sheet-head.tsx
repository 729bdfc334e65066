import { lanesMade } from '@dialoga/core/exchange';
import { childrenOf, type Exchange } from '@dialoga/core/model';
import { protocolOf } from '@dialoga/core/protocol';
import { useNavigate, useParams } from 'react-router';
import { newId } from '../api/new-id';
import { steady } from '../page/steady';
import { edit } from '../store/editing';
import { useAppDispatch, useStateOf } from '../store/store';
import { TextButton } from '../theme/parts';
import { Title } from './sheet-styles';
import { cadenceWords } from './words';

interface Props {
  exchange: Exchange;
  folded: boolean;
  onFold: (folded: boolean) => void;
  settings: boolean;
  onSettings: (open: boolean) => void;
  opened: boolean;
  onOpen: (lanes: readonly string[]) => void;
  onAsk: (what: 'mirror' | 'shift') => void;
  onSwap: () => void;
  onPrint: () => void;
}

/** What an exchange is, and what can be done with its sheet. */
export const SheetHead = steady(function SheetHead({ exchange, folded, settings, opened, ...on }: Props) {
  const { project: projectId = '' } = useParams();
  const navigate = useNavigate();
  const dispatch = useAppDispatch();
  const project = useStateOf((s) => s.project.project)!;
  const { id } = exchange;
  const made = lanesMade(project, exchange, newId);
  const go = (part: string) => void navigate(`/p/${projectId}/exchanges/${id}/${part}`);
  return (
    <Title>
      <h1 dir="auto">{exchange.name || 'Exchange without a name'}</h1>
      <p>
        {exchange.kind}
        {exchange.via && ` through ${project.get('station', exchange.via)?.name ?? ''}`} · {protocolOf(exchange).name}{' '}
        {exchange.transfer} · {cadenceWords(exchange.cadence)}
      </p>
      <div>
        <TextButton aria-keyshortcuts="Alt+M" onPress={() => on.onFold(!folded)}>
          {folded ? 'Show map' : 'Fold map'}
        </TextButton>
        {made && made.changes.length > 0 && (
          <TextButton onPress={() => dispatch(edit(`${exchange.name}: lanes from the ${made.from}`, made.changes))}>
            Lanes from the {made.from}
          </TextButton>
        )}
        <TextButton aria-keyshortcuts="Alt+Shift+M" onPress={() => on.onAsk('mirror')}>
          Mirror
        </TextButton>
        <TextButton onPress={() => on.onAsk('shift')}>Shift</TextButton>
        <TextButton onPress={on.onSwap}>Swap</TextButton>
        <TextButton onPress={on.onPrint} aria-keyshortcuts="Control+P">
          Print
        </TextButton>
        <TextButton onPress={() => go('running')}>How it runs</TextButton>
        {exchange.kind === 'tag map' && <TextButton onPress={() => go('points')}>Points</TextButton>}
        {exchange.transfer === 'requests' && exchange.protocol.startsWith('modbus') && (
          <TextButton onPress={() => go('plan')}>Poll plan</TextButton>
        )}
        <TextButton aria-expanded={settings} onPress={() => on.onSettings(!settings)}>
          Settings
        </TextButton>
        <TextButton onPress={() => on.onOpen(opened ? [] : childrenOf(project, 'lane', id).map((l) => l.id))}>
          {opened ? 'Close values' : 'Open values'}
        </TextButton>
      </div>
    </Title>
  );
});
