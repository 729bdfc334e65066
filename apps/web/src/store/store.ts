import { configureStore } from '@reduxjs/toolkit';
import { useDispatch, useSelector } from 'react-redux';
import { lists } from '../api/lists';
import { findingsSlice } from './findings-slice';
import { projectSlice } from './project-slice';
import { walkSlice } from './walk-slice';

/** The development checks that walk the whole state leave the project out: it is immutable and large. */
const largePaths = ['project', 'findings', 'walk'];

export const store = configureStore({
  reducer: {
    project: projectSlice.reducer,
    findings: findingsSlice.reducer,
    walk: walkSlice.reducer,
    lists: lists.reducer,
  },
  middleware: (defaults) =>
    defaults({
      serializableCheck: { ignoredPaths: largePaths, ignoreActions: true },
      immutableCheck: { ignoredPaths: largePaths },
    }).concat(lists.middleware),
});

export type State = ReturnType<typeof store.getState>;
export type Dispatch = typeof store.dispatch;
export const useStateOf = useSelector.withTypes<State>();
export const useAppDispatch = useDispatch.withTypes<Dispatch>();
export type Thunk<T = void> = (dispatch: Dispatch, getState: () => State) => T;
