import { lazy, Suspense, useEffect, useState, type CSSProperties } from 'react';
import { Outlet, useLocation } from 'react-router';
import { NoticeBar } from './NoticeBar.tsx';
import { useNotice } from './notice.ts';
import { Rail } from './Rail.tsx';
import { useSession } from './session.ts';
import { useAppDispatch, useAppSelector } from './store.ts';
import { useKeys } from './useKeys.ts';
import { useSendUnsent } from './useSendUnsent.ts';
import { personChosen } from './view.ts';

const FindDialog = lazy(async () => ({ default: (await import('../find/FindDialog.tsx')).FindDialog }));
const MoreDialog = lazy(async () => ({ default: (await import('./MoreDialog.tsx')).MoreDialog }));
const Door = lazy(async () => ({ default: (await import('../people/Door.tsx')).Door }));
const PersonDialog = lazy(async () => ({ default: (await import('./PersonDialog.tsx')).PersonDialog }));

/** Whether the page has come to rest: who is at the bench is asked once what somebody came for is there. */
function useRested(): boolean {
  const [rested, setRested] = useState(false);
  useEffect(() => {
    const rest = (): void => setRested(true);
    if (!('requestIdleCallback' in window)) {
      const timer = setTimeout(rest, 300);
      return () => clearTimeout(timer);
    }
    const request = requestIdleCallback(rest, { timeout: 3000 });
    return () => cancelIdleCallback(request);
  }, []);
  return rested;
}

/** Says that the application has taken over the page that came drawn: `early.js` has kept what was pressed until then. */
function useTakenOver(): void {
  useEffect(() => {
    window.dispatchEvent(new Event('takenover'));
  }, []);
}

/** Whoever is signed in is at the bench. @returns whether somebody has to sign in, and whether somebody was before */
function useSignedIn() {
  const { signsIn, who } = useSession();
  const dispatch = useAppDispatch();
  const [wasIn, setWasIn] = useState(false);
  const isIn = who !== undefined && who.mustChange !== true;
  const name = isIn ? who.name : undefined;
  if (name !== undefined && !wasIn) setWasIn(true);
  useEffect(() => {
    if (name !== undefined) dispatch(personChosen(name));
  }, [name, dispatch]);
  return { signsIn, isOutside: signsIn && !isIn, wasIn };
}

/** Rail and place side by side; asks once who is at the bench, and finds circuits from anywhere. */
export function Shell() {
  const person = useAppSelector((state) => state.view.person);
  const [asking, setAsking] = useState(false);
  const [finding, setFinding] = useState(false);
  const [more, setMore] = useState(false);
  const { signsIn, isOutside, wasIn } = useSignedIn();
  useSendUnsent();
  const notice = useNotice();
  const rested = useRested();
  // Where work begins, the name is asked for by what needs it.
  const asksItself = ['/', '/jobs', '/quick', '/quick/connector'].includes(useLocation().pathname);
  useKeys({ '/': () => setFinding(true) });
  useTakenOver();
  return (
    <div className="flex min-h-dvh max-sm:flex-col">
      {isOutside ? null : (
        <Rail onPerson={() => setAsking(true)} onFind={() => setFinding(true)} onMore={() => setMore(true)} />
      )}
      <main
        className="flex min-w-0 flex-1 flex-col pb-(--bar)"
        style={{ '--notice': notice ? '64px' : '0px' } as CSSProperties}
      >
        <div className="min-w-0 flex-1">
          {signsIn ? (
            <Suspense fallback={null}>
              <Door isOutside={isOutside} wasIn={wasIn} asking={asking} onClose={() => setAsking(false)} />
            </Suspense>
          ) : null}
          {/* What was entered stays on the page until somebody is signed in again. */}
          {isOutside && !wasIn ? null : (
            <div className={isOutside ? 'hidden' : 'contents'}>
              <Outlet />
            </div>
          )}
        </div>
        <NoticeBar />
      </main>
      <Suspense fallback={null}>
        {more ? (
          <MoreDialog onPerson={() => setAsking(true)} onFind={() => setFinding(true)} onClose={() => setMore(false)} />
        ) : null}
        {finding && !isOutside ? <FindDialog onClose={() => setFinding(false)} /> : null}
        {!signsIn && (asking || (person === null && rested && !asksItself)) ? (
          <PersonDialog open onClose={() => setAsking(false)} />
        ) : null}
      </Suspense>
    </div>
  );
}
