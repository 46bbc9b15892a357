/** Light for daylight, dark for under a machine. */
export type Theme = 'light' | 'dark';

/** Puts the theme on the document. */
export function applyTheme(theme: Theme): void {
  document.documentElement.dataset.theme = theme;
  document.querySelector('meta[name="theme-color"]')?.setAttribute('content', theme === 'dark' ? '#16181A' : '#F5F1E8');
}
