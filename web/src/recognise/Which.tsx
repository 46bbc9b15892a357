import { lazy, Suspense, useState, type ReactNode } from 'react';
import { ScanSearch } from 'lucide-react';
import { Button } from '../ui/button.tsx';

export const WhichLock = lazy(async () => ({ default: (await import('./WhichLock.tsx')).WhichLock }));
export const WhichTerminal = lazy(async () => ({ default: (await import('./WhichTerminal.tsx')).WhichTerminal }));
export const WhichDamage = lazy(async () => ({ default: (await import('./WhichDamage.tsx')).WhichDamage }));
export const JacketGauge = lazy(async () => ({ default: (await import('./JacketGauge.tsx')).JacketGauge }));

interface WhichProps {
  readonly words: string;
  /** What helps to tell, once it was asked for. */
  readonly children: (close: () => void) => ReactNode;
}

/** Beside a field that somebody may not be able to answer: what helps them to. */
export function Which({ words, children }: WhichProps) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button look="quiet" onClick={() => setOpen(true)}>
        <ScanSearch aria-hidden className="size-5" />
        {words}
      </Button>
      <Suspense fallback={null}>{open ? children(() => setOpen(false)) : null}</Suspense>
    </>
  );
}
