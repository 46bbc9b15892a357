import { useEffect, useMemo } from 'react';
import { useNavigate } from 'react-router';
import type { QuickRepair } from '@mendum/core';
import { usePracticesQuery, useShelfQuery } from '../app/api.ts';
import { errorOf, useSave } from '../app/change.ts';
import { useNamed } from '../app/useNamed.tsx';
import { thePlanner } from '../app/usePlan.ts';
import { Place } from '../places/Place.tsx';
import { Button } from '../ui/button.tsx';
import { Failed } from '../ui/empty.tsx';
import { AnswerPanel } from './AnswerPanel.tsx';
import { Assumed } from './Assumed.tsx';
import { Begin, type How, type Then } from './Begin.tsx';
import { changing, EMPTY, missingFrom, repairOf, useQuickDraft } from './draft.ts';
import { Happened, Slack, Where } from './Happened.tsx';
import { useAnswer } from './useAnswer.ts';
import { WirePick } from './WirePick.tsx';

/** A repair that begins with a wire in the hand: what is tapped on one side, the answer beside it. */
export function QuickPage() {
  const [draft, setDraft] = useQuickDraft();
  const navigate = useNavigate();
  const shelf = useShelfQuery({});
  const repair = useMemo(() => repairOf(draft), [draft]);
  const practices = usePracticesQuery({});
  const usual = practices.currentData?.find((one) => one.usual)?.practice;
  const { plan, wrong, to, isOld } = useAnswer(repair, shelf.currentData, usual);
  useEffect(() => void thePlanner(), []);
  const { named, question } = useNamed();
  const { save, busy } = useSave();
  const begin = async (quick: QuickRepair, how: How, then: Then, by: string): Promise<void> => {
    const outcome = await save('beginQuick', { quick, how }, { by });
    if (!outcome.ok) return;
    setDraft(EMPTY);
    void navigate(`/jobs/${outcome.data.id}/${then}`);
  };
  const guide = (how: How, then: Then): void => named((by) => void (repair && begin(repair, how, then, by)));
  const missing = missingFrom(draft);
  const isColourless = draft.wires.some(({ colour }) => colour === undefined);
  const asked = { draft, repair, onChange: setDraft };
  const failed = shelf.error ? errorOf(shelf.error) : undefined;
  return (
    <Place
      title="Quick repair"
      about="A wire in the hand is enough. What you learn later goes into the same record."
      actions={
        draft === EMPTY ? null : (
          <Button look="quiet" onClick={() => setDraft(EMPTY)}>
            Start over
          </Button>
        )
      }
    >
      <div className="grid items-start gap-x-10 gap-y-6 lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
        <div className="grid gap-6">
          <WirePick draft={draft} onChange={setDraft} />
          <Happened {...asked} />
          <Where {...asked} />
          <Slack {...asked} />
        </div>
        <section
          id="answer"
          aria-label="The answer"
          tabIndex={0}
          className="grid scroll-mt-3 gap-4 border-t-4 border-copper bg-paper pt-3 lg:sticky lg:top-3 lg:max-h-[calc(100dvh-1.5rem)] lg:overflow-y-auto"
        >
          {failed ? (
            <Failed message={failed.message} hint={failed.hint} onRetry={() => void shelf.refetch()} />
          ) : missing.length > 0 ? (
            <p className="text-xl text-soft">Tap {missing.join(', ')}: the answer stands here.</p>
          ) : wrong ? (
            <p className="border-l-4 border-rework pl-3 text-lg">
              <b>{wrong.message}</b> {wrong.hint}
            </p>
          ) : plan && to ? (
            <div aria-busy={isOld} className={isOld ? 'opacity-50' : ''}>
              <AnswerPanel plan={plan} repair={to} />
            </div>
          ) : (
            <p className="text-xl text-soft">Working it out…</p>
          )}
          {repair ? <Assumed repair={repair} onChange={changing(draft, setDraft)} /> : null}
          {plan && repair && !wrong ? (
            <Begin repair={repair} isColourless={isColourless} isWaiting={busy || isOld} onBegin={guide} />
          ) : null}
        </section>
      </div>
      {plan && repair && !wrong ? (
        <a
          href="#answer"
          className="sticky bottom-[calc(var(--bar)+var(--notice,0px))] -mx-4 mt-4 flex min-h-14 items-center gap-3 border-t-2 border-copper bg-sheet px-4 text-lg leading-tight font-semibold short:static lg:hidden"
        >
          <span className="min-w-0 flex-1">{plan.findings[0]?.headline}</span>
          <span className="underline underline-offset-4">See why</span>
        </a>
      ) : null}
      <p className="sr-only" role="status">
        {plan && !wrong ? plan.findings[0]?.headline : ''}
      </p>
      {question}
    </Place>
  );
}
