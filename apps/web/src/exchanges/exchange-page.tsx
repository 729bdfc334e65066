import { useParams } from 'react-router';
import { useStateOf } from '../store/store';
import { ServicePage } from './service-page';
import { SheetPage } from './sheet-page';

/** One exchange: the two-ended sheet; of a service link, which has no lanes, what its tools were told. */
export function ExchangePage() {
  const { exchange: id = '' } = useParams();
  const kind = useStateOf((s) => s.project.project?.get('exchange', id)?.kind);
  return kind === 'service link' ? <ServicePage /> : <SheetPage />;
}
