import { cleanup, configure } from '@testing-library/react';
import { afterEach } from 'vitest';

// A busy machine may take its time; what never comes still fails.
configure({ asyncUtilTimeout: 20_000 });

// What jsdom lacks and Radix and the drawings ask for.
globalThis.ResizeObserver ??= class {
  observe(): void {
    /* sizes never change here */
  }
  unobserve(): void {
    /* nothing to stop */
  }
  disconnect(): void {
    /* nothing to stop */
  }
};
// What is drawn on the server is tested without a page.
if (typeof Element !== 'undefined') {
  Element.prototype.scrollIntoView ??= () => undefined;
  Element.prototype.hasPointerCapture ??= () => false;
  Element.prototype.setPointerCapture ??= () => undefined;
  Element.prototype.releasePointerCapture ??= () => undefined;
}

afterEach(() => {
  cleanup();
  if (typeof localStorage !== 'undefined') localStorage.clear();
});
