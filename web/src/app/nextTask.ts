/** Lets the browser do what waits, a tap or a paint, before the work goes on: for work that would hold it up in one go. */
export const nextTask = (): Promise<void> =>
  new Promise((resolve) => {
    setTimeout(resolve);
  });
