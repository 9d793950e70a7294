import { configureStore, type ThunkAction, type UnknownAction } from '@reduxjs/toolkit';
import { setupListeners } from '@reduxjs/toolkit/query';
import { useDispatch, useSelector } from 'react-redux';
import { rememberWrites } from '../live/ownWrites';
import { api } from './api';
import { justSavedReducer, keepJustSaved } from './justSavedSlice';
import { saveSettings, settingsReducer } from './settingsSlice';

/** A store of its own: one for the page, one for each test. */
export function makeStore() {
  return configureStore({
    reducer: { [api.reducerPath]: api.reducer, settings: settingsReducer, justSaved: justSavedReducer },
    middleware: (defaults) => defaults().concat(api.middleware, rememberWrites),
  });
}

export const store = makeStore();

setupListeners(store.dispatch);
let kept = store.getState();
store.subscribe(() => {
  const now = store.getState();
  if (now.settings !== kept.settings) saveSettings(now.settings);
  if (now.justSaved !== kept.justSaved) keepJustSaved(now.justSaved);
  kept = now;
});

export type RootState = ReturnType<typeof store.getState>;
export type AppThunk<R = void> = ThunkAction<R, RootState, unknown, UnknownAction>;
export const useAppSelector = useSelector.withTypes<RootState>();
export const useAppDispatch = useDispatch.withTypes<typeof store.dispatch>();
