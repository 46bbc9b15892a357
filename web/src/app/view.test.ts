import { describe, expect, it, test, vi } from 'vitest';
import { errorOf } from './errors.ts';
import { keepInStep, makeStore } from './store.ts';
import { personChosen, rememberedView, themeToggled, unitsToggled } from './view.ts';

describe('what a device remembers', () => {
  it('is kept over a reload, and the theme is on the page', () => {
    const store = makeStore();
    keepInStep(store);
    store.dispatch(personChosen('Ines'));
    store.dispatch(unitsToggled());
    const before = store.getState().view.theme;
    store.dispatch(themeToggled());
    expect(rememberedView()).toEqual({
      person: 'Ines',
      units: 'inch',
      theme: before === 'dark' ? 'light' : 'dark',
      themeChosen: true,
    });
    expect(document.documentElement.dataset.theme).toBe(rememberedView().theme);
  });
  it('the theme follows the device until somebody chooses one', () => {
    localStorage.clear();
    let isDark = false;
    let tell: () => void = () => undefined;
    const device = {
      get matches() {
        return isDark;
      },
      addEventListener: (_: string, listener: () => void) => (tell = listener),
    };
    vi.stubGlobal('matchMedia', () => device);
    const store = makeStore();
    keepInStep(store);
    const turn = (dark: boolean): string => {
      isDark = dark;
      tell();
      return store.getState().view.theme;
    };
    store.dispatch(personChosen('Ines'));
    expect([turn(true), turn(false), turn(true)]).toEqual(['dark', 'light', 'dark']);
    expect(rememberedView()).toMatchObject({ theme: 'dark', themeChosen: false });
    store.dispatch(themeToggled());
    expect([turn(true), turn(false)]).toEqual(['light', 'light']);
    isDark = true;
    expect(rememberedView()).toMatchObject({ theme: 'light', themeChosen: true });
    vi.unstubAllGlobals();
  });
  test.each(['not json', '7', '{"person": 7, "theme": "pink", "units": "feet"}', '{"person": ""}'])(
    'a damaged memory counts as none: %s',
    (text) => {
      localStorage.setItem('mendum.view', text);
      expect(rememberedView()).toMatchObject({ person: null, units: 'mm' });
    },
  );
});

describe('the error of a write', () => {
  it('is what the server said', () =>
    expect(errorOf({ status: 409, data: { error: { code: 'STALE', message: 'm', hint: 'h' } } })).toEqual({
      code: 'STALE',
      message: 'm',
      hint: 'h',
    }));
  it('or that it did not answer, and that pressing again does nothing twice', () =>
    expect(errorOf({ status: 'FETCH_ERROR' })).toMatchObject({
      code: 'UNREACHABLE',
      hint: expect.stringContaining('nothing is done twice'),
    }));
});
