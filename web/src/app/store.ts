import { configureStore } from '@reduxjs/toolkit';
import { useDispatch, useSelector } from 'react-redux';
import { api } from './api.ts';
import { applyTheme } from './theme.ts';
import { deviceThemeChanged, onDeviceTheme, rememberView, viewSlice } from './view.ts';

export const makeStore = () =>
  configureStore({
    reducer: { [api.reducerPath]: api.reducer, view: viewSlice.reducer },
    middleware: (defaults) => defaults().concat(api.middleware),
  });

export type Store = ReturnType<typeof makeStore>;
export type RootState = ReturnType<Store['getState']>;

/** Keeps what the device remembers, and the theme on the page, in step with the store. */
export function keepInStep(store: Store): void {
  let last = store.getState().view;
  applyTheme(last.theme);
  store.subscribe(() => {
    const now = store.getState().view;
    if (now === last) return;
    last = now;
    rememberView(now);
    applyTheme(now.theme);
  });
  onDeviceTheme((theme) => store.dispatch(deviceThemeChanged(theme)));
}

export const useAppDispatch = useDispatch.withTypes<Store['dispatch']>();
export const useAppSelector = useSelector.withTypes<RootState>();
