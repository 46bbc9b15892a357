import { configureStore } from '@reduxjs/toolkit';
import { useDispatch, useSelector } from 'react-redux';
import { api } from './api.ts';
import type { Given } from './given.ts';
import { applyTheme } from './theme.ts';
import {
  deviceThemeChanged,
  onDeviceTheme,
  rememberedView,
  rememberView,
  tellUnits,
  viewSlice,
  type ViewState,
} from './view.ts';

/**
 * @param given what came with the page, and need not be asked for
 * @param view what the device shows; what it remembers, unless said otherwise
 */
export const makeStore = (given: Given = new Map(), view: ViewState = rememberedView()) =>
  configureStore({
    preloadedState: { view },
    reducer: { [api.reducerPath]: api.reducer, view: viewSlice.reducer },
    middleware: (defaults) => defaults({ thunk: { extraArgument: given } }).concat(api.middleware),
  });

export type Store = ReturnType<typeof makeStore>;
export type RootState = ReturnType<Store['getState']>;

/** Keeps what the device remembers, and the theme on the page, in step with the store. */
export function keepInStep(store: Store): void {
  let last = store.getState().view;
  applyTheme(last.theme);
  tellUnits(last);
  store.subscribe(() => {
    const now = store.getState().view;
    if (now === last) return;
    last = now;
    rememberView(now);
    tellUnits(now);
    applyTheme(now.theme);
  });
  onDeviceTheme((theme) => store.dispatch(deviceThemeChanged(theme)));
}

export const useAppDispatch = useDispatch.withTypes<Store['dispatch']>();
export const useAppSelector = useSelector.withTypes<RootState>();
