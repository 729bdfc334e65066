import { childrenOf, inOrder, type Exchange, type Project, type Station } from '@dialoga/core/model';
import { useStore } from 'react-redux';
import { useNavigate, useParams } from 'react-router';
import type { State } from '../store/store';
import type { Action } from './actions';

/** The tables and pages of a station, by the words that lead there, and where each is. */
const PLACES: readonly (readonly [words: string, path: (id: string) => string, table?: string])[] = [
  ['Ports', (id) => `stations/${id}`, 'Ports'],
  ['Slots', (id) => `stations/${id}`, 'Slots of'],
  ['Module assignments', (id) => `stations/${id}`, 'Module assignments'],
  ['Settings', (id) => `stations/${id}`, 'Settings'],
  ['Areas', (id) => `stations/${id}`, 'Areas'],
  ['Copies', (id) => `stations/${id}`, 'Copies'],
  ['Views', (id) => `stations/${id}`, 'Views'],
  ['Reserved ranges', (id) => `stations/${id}`, 'Reserved ranges'],
  ['Parts of blocks', (id) => `stations/${id}`, 'Parts of their blocks'],
  ['Tags', (id) => `tags/${id}`, 'Tags of'],
  ['Import tags', (id) => `tags/${id}/bring-in`],
  ['Setting card', (id) => `stations/${id}/card`],
];
const MOST = 6;

interface TagMap {
  exchange: Exchange;
  station: Station;
}

/** The tag maps in which a station asks others. */
const mapsOf = (project: Project, station: Station): TagMap[] =>
  childrenOf(project, 'end', station.id).flatMap((end) => {
    const exchange = project.get('exchange', end.exchange);
    return exchange?.kind === 'tag map' && end.calling === 'calls' ? [{ exchange, station }] : [];
  });

/** `copies of gate`: the cursor goes to that table of that station. */
export function useTablesOf(): (asked: string) => Action[] {
  const { project: address = '' } = useParams();
  const navigate = useNavigate();
  const store = useStore<State>();
  return (asked) => {
    const { project } = store.getState().project;
    const [, words = '', name = ''] = /^(.+)\s+of\s+(.+)$/i.exec(asked) ?? [];
    if (!project || words === '') return [];
    const stations = inOrder(project, 'station').filter((one) => one.name.toLowerCase().startsWith(name.toLowerCase()));
    const places = PLACES.filter(([title]) => title.toLowerCase().startsWith(words.toLowerCase()));
    const action = (station: Station, [title, path, table]: (typeof PLACES)[number]): Action => ({
      label: `${title} of ${station.name}`,
      keys: '',
      leads: true,
      run: () => {
        void navigate(`/p/${address}/${path(station.id)}`, { state: { table } });
      },
    });
    const matching = 'match tags'.startsWith(words.toLowerCase())
      ? stations.flatMap((one) => mapsOf(project, one))
      : [];
    const match = ({ exchange, station }: TagMap): Action => ({
      label: `Match tags of ${station.name}: ${exchange.name}`,
      keys: '',
      leads: true,
      run: () => void navigate(`/p/${address}/tags/${station.id}/with/${exchange.id}`),
    });
    const tables = stations.flatMap((station) => places.map((place) => action(station, place)));
    return [...matching.map(match), ...tables].slice(0, MOST);
  };
}
