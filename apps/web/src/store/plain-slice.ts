import {
  createAction,
  type Action,
  type ActionCreatorWithoutPayload,
  type ActionCreatorWithPayload,
} from '@reduxjs/toolkit';

type Step<S> = (state: S, payload: never) => S;

type Creator<F> = F extends (state: never, payload: infer P) => unknown
  ? unknown extends P
    ? ActionCreatorWithoutPayload
    : ActionCreatorWithPayload<P>
  : never;

/**
 * A slice whose reducers give the next state themselves. A project and its findings are replaced whole; a draft of them
 * would be walked after each edit, entry by entry, to find out what changed.
 */
export function plainSlice<S, R extends Record<string, Step<S>>>(name: string, initialState: S, reducers: R) {
  const actions = Object.fromEntries(
    Object.keys(reducers).map((key) => [key, createAction<unknown>(`${name}/${key}`)]),
  ) as unknown as { [K in keyof R]: Creator<R[K]> };
  const steps = new Map(Object.entries(reducers).map(([key, step]) => [`${name}/${key}`, step]));
  const reducer = (state: S = initialState, action: Action & { payload?: unknown }): S =>
    steps.get(action.type)?.(state, action.payload as never) ?? state;
  return { actions, reducer };
}
