import { useState, type CSSProperties } from 'react';
import { Outlet } from 'react-router';
import { FindDialog } from '../find/FindDialog.tsx';
import { NoticeBar } from './NoticeBar.tsx';
import { useNotice } from './notice.ts';
import { PersonDialog } from './PersonDialog.tsx';
import { Rail } from './Rail.tsx';
import { useAppSelector } from './store.ts';
import { useKeys } from './useKeys.ts';

/** Rail and place side by side; asks once who is at the bench, and finds circuits from anywhere. */
export function Shell() {
  const person = useAppSelector((state) => state.view.person);
  const [asking, setAsking] = useState(false);
  const [finding, setFinding] = useState(false);
  const notice = useNotice();
  useKeys({ '/': () => setFinding(true) });
  return (
    <div className="flex min-h-dvh">
      <Rail onPerson={() => setAsking(true)} onFind={() => setFinding(true)} />
      <main className="flex min-w-0 flex-1 flex-col" style={{ '--notice': notice ? '64px' : '0px' } as CSSProperties}>
        <div className="min-w-0 flex-1">
          <Outlet />
        </div>
        <NoticeBar />
      </main>
      {finding ? <FindDialog onClose={() => setFinding(false)} /> : null}
      <PersonDialog open={asking || person === null} onClose={() => setAsking(false)} />
    </div>
  );
}
