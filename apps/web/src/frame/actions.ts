import { inOrder } from '@dialoga/core/model';
import { useStore } from 'react-redux';
import { useNavigate, useParams } from 'react-router';
import { openLab } from '../lab/open-lab';
import { askPath } from '../page/ask-path';
import { placeOf } from '../store/place';
import { redo, undo } from '../store/editing';
import { useAppDispatch, type State } from '../store/store';
import { chooseTheme, currentTheme } from '../theme/theme';
import { showKeys } from './keys-dialog';

/** Something that can be done from anywhere, by its name. */
export interface Action {
  label: string;
  /** the keys that do it */
  keys: string;
  run: () => void;
  /** leads to another page */
  leads?: true;
}

/** What the find box offers beside what it finds. */
export function useActions(): Action[] {
  const { project: address = '' } = useParams();
  const navigate = useNavigate();
  const dispatch = useAppDispatch();
  const go = (label: string, path: string): Action => ({
    label,
    keys: '',
    leads: true,
    run: () => void navigate(`/p/${address}/${path}`),
  });
  return [
    go('Begin with a list', 'begin'),
    go('Go to Overview', 'overview'),
    go('Go to Stations', 'stations'),
    go('Go to Wiring', 'wiring'),
    go('Go to Profiles', 'profiles'),
    go('Go to Structures', 'structures'),
    go('Import hardware list', 'hardware-list'),
    go('Go to Routes', 'routes'),
    go('Go to Exchanges', 'exchanges'),
    go('Go to Tags', 'tags'),
    go('Go to Rehearsal', 'rehearsal'),
    go('Go to Findings', 'findings'),
    go('Go to what is seen on site', 'symptoms'),
    { label: 'Go to History', keys: '', leads: true, run: () => void navigate(`/p/${placeOf(address).id}/history`) },
    { label: 'Go to all projects', keys: '', leads: true, run: () => void navigate('/') },
    { label: 'Open the value lab', keys: 'Ctrl+Shift+V', run: () => openLab() },
    { label: 'Undo', keys: 'Ctrl+Z', run: () => dispatch(undo()) },
    { label: 'Redo', keys: 'Ctrl+Y', run: () => dispatch(redo()) },
    { label: 'Show the keys of this screen', keys: 'F1', run: showKeys },
    {
      label: 'Change between the light and the dark theme',
      keys: '',
      run: () => chooseTheme(currentTheme() === 'light' ? 'dark' : 'light'),
    },
  ];
}

const MOST_ROUTES = 5;

/** `route to defr…`: the way to each station of that name, from where engineers sit. */
export function useRoutesTo(): (asked: string) => Action[] {
  const { project: address = '' } = useParams();
  const navigate = useNavigate();
  const store = useStore<State>();
  return (asked) => {
    const { project } = store.getState().project;
    const [, wanted = ''] = /^route\s+(?:to\s+)?(.+)$/.exec(asked) ?? [];
    if (wanted === '' || !project) return [];
    return inOrder(project, 'station')
      .filter((station) => station.name.toLowerCase().includes(wanted))
      .slice(0, MOST_ROUTES)
      .map((station) => ({
        label: `Route to ${station.name}`,
        keys: '',
        leads: true,
        run: () => void navigate(askPath(address, { to: station.id, traffic: 'looking on' })),
      }));
  };
}
