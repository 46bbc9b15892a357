import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { keep, recall } from './kept.ts';
import type { Theme } from './theme.ts';

/** Views of lengths only; what is stored and sent stays in mm. */
export type Units = 'mm' | 'inch';

export interface ViewState {
  readonly person: string | null;
  readonly theme: Theme;
  readonly units: Units;
}

const KEY = 'mendum.view';
const deviceTheme = (): Theme =>
  typeof matchMedia === 'function' && matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light';

/** What this device remembered; a damaged memory counts as none. */
export function rememberedView(): ViewState {
  const kept = (recall(KEY) ?? {}) as Partial<ViewState>;
  return {
    person: typeof kept.person === 'string' && kept.person !== '' ? kept.person : null,
    theme: kept.theme === 'dark' || kept.theme === 'light' ? kept.theme : deviceTheme(),
    units: kept.units === 'inch' ? 'inch' : 'mm',
  };
}

export const rememberView = (view: ViewState): void => keep(KEY, view);

export const viewSlice = createSlice({
  name: 'view',
  initialState: rememberedView,
  reducers: {
    personChosen: (state, action: PayloadAction<string>) => ({ ...state, person: action.payload }),
    themeToggled: (state) => ({ ...state, theme: state.theme === 'dark' ? ('light' as const) : ('dark' as const) }),
    unitsToggled: (state) => ({ ...state, units: state.units === 'mm' ? ('inch' as const) : ('mm' as const) }),
  },
});

export const { personChosen, themeToggled, unitsToggled } = viewSlice.actions;
