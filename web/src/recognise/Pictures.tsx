import type { ReactNode } from 'react';

/** How a line of a drawing is. */
export const INK = { stroke: 'var(--ink)', strokeWidth: 2, strokeLinejoin: 'round' } as const;
export const HOT = { fill: 'var(--copper)', stroke: 'var(--ink)', strokeWidth: 2, strokeLinejoin: 'round' } as const;

/** A small drawing, as wide as its tile. */
export const Picture = ({ children }: { readonly children: ReactNode }) => (
  <svg viewBox="0 0 120 64" className="h-28 w-full max-w-52" aria-hidden>
    {children}
  </svg>
);
