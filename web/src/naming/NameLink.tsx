import { lazy, Suspense, useState } from 'react';
import type { NamedHarness } from '@mendum/core/job';
import { Button } from '../ui/button.tsx';

/** A form brings its schema with it: only when somebody names something. */
const NameMachine = lazy(async () => ({ default: (await import('./NameMachine.tsx')).NameMachine }));

/** Opens the naming of the machine and the harness that are on the screen. */
export function NameLink({
  words,
  ...of
}: {
  readonly words: string;
  readonly harnessId: string;
  readonly version: number;
  readonly named: NamedHarness;
}) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button look="quiet" onClick={() => setOpen(true)}>
        {words}
      </Button>
      {open ? (
        <Suspense fallback={null}>
          <NameMachine {...of} onClose={() => setOpen(false)} />
        </Suspense>
      ) : null}
    </>
  );
}
