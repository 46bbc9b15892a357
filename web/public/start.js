// The page came drawn: it is painted, and then the application takes it over. What nobody sees is not waited for.
(() => {
  const { app } = document.currentScript.dataset;
  let begun = false;
  const begin = () => {
    if (begun) return;
    begun = true;
    void import(app);
  };
  // A key that is pressed before the application is there is pressed again once it is.
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
  requestAnimationFrame(() => setTimeout(begin));
  setTimeout(begin, 1000);
})();
