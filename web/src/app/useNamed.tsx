import { lazy, Suspense, useState, type ReactNode } from 'react';
import { useAppSelector } from './store.ts';

const PersonDialog = lazy(async () => ({ default: (await import('./PersonDialog.tsx')).PersonDialog }));

type Act = (by: string) => void;

/**
 * For what is written under a name: it is asked for when it is needed, and then what was pressed goes on. Nobody is
 * asked who only looks.
 */
export function useNamed(): { readonly named: (act: Act) => void; readonly question: ReactNode } {
  const person = useAppSelector((state) => state.view.person);
  const [waiting, setWaiting] = useState<Act>();
  return {
    named: (act) => {
      if (person === null) setWaiting(() => act);
      else act(person);
    },
    question: waiting ? (
      <Suspense fallback={null}>
        <PersonDialog open onClose={() => setWaiting(undefined)} onChosen={waiting} />
      </Suspense>
    ) : null,
  };
}
