import { useState } from 'react';
import { Outlet } from 'react-router';
import { FindDialog } from '../find/FindDialog.tsx';
import { PersonDialog } from './PersonDialog.tsx';
import { Rail } from './Rail.tsx';
import { useAppSelector } from './store.ts';
import { useKeys } from './useKeys.ts';

/** Rail and place side by side; asks once who is at the bench, and finds circuits from anywhere. */
export function Shell() {
  const person = useAppSelector((state) => state.view.person);
  const [asking, setAsking] = useState(false);
  const [finding, setFinding] = useState(false);
  useKeys({ '/': () => setFinding(true) });
  return (
    <div className="flex min-h-dvh">
      <Rail onPerson={() => setAsking(true)} onFind={() => setFinding(true)} />
      <main className="min-w-0 flex-1"><Outlet /></main>
      {finding ? <FindDialog onClose={() => setFinding(false)} /> : null}
      <PersonDialog open={asking || person === null} onClose={() => setAsking(false)} />
    </div>
  );
}
