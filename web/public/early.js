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

// A key that is pressed before the application is there is pressed again once it is.
(() => {
  const early = [];
  const keep = (event) => {
    if (event.key.length === 1 && !event.ctrlKey && !event.metaKey && !event.altKey) early.push(event);
  };
  addEventListener('keydown', keep);
  addEventListener(
    'takenover',
    () => {
      removeEventListener('keydown', keep);
      for (const { key, code } of early)
        document.dispatchEvent(new KeyboardEvent('keydown', { key, code, bubbles: true }));
    },
    { once: true },
  );
})();
