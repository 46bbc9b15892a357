// The page came drawn: it is painted, and then the application takes it over. What nobody sees is not waited for.
(() => {
  const { app } = document.currentScript.dataset;
  let begun = false;
  const begin = () => {
    if (begun) return;
    begun = true;
    void import(app);
  };
  requestAnimationFrame(() => setTimeout(begin));
  setTimeout(begin, 1000);
})();
