// Before anything is painted: the theme that was chosen on this device, or else that of the device (src/app/view.ts).
(() => {
  let theme;
  try {
    theme = JSON.parse(localStorage.getItem('mendum.view'))?.theme;
  } catch {
    // A damaged memory counts as none.
  }
  if (theme !== 'dark' && theme !== 'light')
    theme = matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light';
  document.documentElement.dataset.theme = theme;
})();
