import { combineReducers, configureStore } from '@reduxjs/toolkit';
import { setupListeners } from '@reduxjs/toolkit/query';
import { api } from '../client/api.ts';
import { classesReducer } from '../features/classes/index.ts';
import { floorReducer } from '../features/floor/index.ts';
import { proposalsReducer } from '../features/plan/index.ts';
import { binReducer, draftKeeper, draftsReducer } from '../client/drafts.ts';

const reducer = combineReducers({
  [api.reducerPath]: api.reducer,
  drafts: draftsReducer,
  bin: binReducer,
  proposals: proposalsReducer,
  floor: floorReducer,
  classes: classesReducer,
});

export type RootState = ReturnType<typeof reducer>;

export function createStore(storage: Storage = window.localStorage) {
  const keeper = draftKeeper(storage);
  const store = configureStore({
    reducer,
    middleware: (defaults) => defaults().concat(api.middleware),
    preloadedState: { drafts: keeper.load() },
  });
  store.subscribe(() => keeper.keep(store.getState().drafts));
  // A page left open overnight asks again when the coach comes back to it.
  setupListeners(store.dispatch);
  return store;
}
