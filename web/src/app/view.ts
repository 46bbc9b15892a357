import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { keep, recall } from './kept.ts';
import type { Theme } from './theme.ts';

/** Views of lengths only; what is stored and sent stays in mm. */
export type Units = 'mm' | 'inch';

export interface ViewState {
  readonly person: string | null;
  readonly theme: Theme;
  /** Somebody chose it; else it follows the device. */
  readonly themeChosen: boolean;
  readonly units: Units;
}

const KEY = 'mendum.view';
const deviceDark = (): MediaQueryList | undefined =>
  typeof matchMedia === 'function' ? matchMedia('(prefers-color-scheme: dark)') : undefined;
const deviceTheme = (): Theme => (deviceDark()?.matches ? 'dark' : 'light');

/** Tells when the device turns dark or light. */
export function onDeviceTheme(tell: (theme: Theme) => void): void {
  deviceDark()?.addEventListener('change', () => tell(deviceTheme()));
}

const themeOf = ({ theme }: Partial<ViewState>): Pick<ViewState, 'theme' | 'themeChosen'> =>
  theme === 'dark' || theme === 'light' ? { theme, themeChosen: true } : { theme: deviceTheme(), themeChosen: false };

/** What this device remembered; a damaged memory counts as none. */
export function rememberedView(): ViewState {
  const kept = (recall(KEY) ?? {}) as Partial<ViewState>;
  return {
    person: typeof kept.person === 'string' && kept.person !== '' ? kept.person : null,
    ...themeOf(kept),
    units: kept.units === 'inch' ? 'inch' : 'mm',
  };
}

export const rememberView = ({ person, units, theme, themeChosen }: ViewState): void =>
  keep(KEY, { person, units, ...(themeChosen ? { theme } : {}) });

/** Tells the server the units of this device, so that what it draws has them from the start. */
export const tellUnits = ({ units }: ViewState): void => {
  document.cookie = `units=${units}; Path=/; Max-Age=31536000; SameSite=Strict`;
};

export const viewSlice = createSlice({
  name: 'view',
  initialState: rememberedView,
  reducers: {
    personChosen: (state, action: PayloadAction<string>) => ({ ...state, person: action.payload }),
    themeToggled: (state) => ({
      ...state,
      themeChosen: true,
      theme: state.theme === 'dark' ? ('light' as const) : ('dark' as const),
    }),
    deviceThemeChanged: (state, action: PayloadAction<Theme>) =>
      state.themeChosen ? state : { ...state, theme: action.payload },
    unitsToggled: (state) => ({ ...state, units: state.units === 'mm' ? ('inch' as const) : ('mm' as const) }),
  },
});

export const { deviceThemeChanged, personChosen, themeToggled, unitsToggled } = viewSlice.actions;
