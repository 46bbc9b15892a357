import type { ReactNode } from 'react';
import type { Plan } from '@mendum/core/plan';
import { useShelfQuery } from '../app/api.ts';
import { errorOf } from '../app/errors.ts';
import { Failed } from '../ui/empty.tsx';
import { AnswerPanel } from './AnswerPanel.tsx';
import type { QuickWire } from './draft.ts';

interface AnswerBesideProps {
  /** What is tapped. */
  readonly children: ReactNode;
  /** What still has to be tapped before there is an answer, as it is called on the page. */
  readonly missing: readonly string[];
  readonly answer: {
    readonly plan?: Plan;
    readonly wrong?: { readonly message: string; readonly hint: string };
    readonly isOld: boolean;
  };
  /** The wires that it is the answer for, one a finding. */
  readonly wires: readonly QuickWire[];
  /** What was assumed, and how it is begun. */
  readonly below: ReactNode;
}

/** What is tapped on one side, the answer beside it; on a phone under it, and in a line at the foot. */
export function AnswerBeside({ children, missing, answer, wires, below }: AnswerBesideProps) {
  const { plan, wrong, isOld } = answer;
  const shelf = useShelfQuery({});
  const failed = shelf.error ? errorOf(shelf.error) : undefined;
  const headline = plan && !wrong ? plan.findings[0]?.headline : undefined;
  return (
    <>
      <div className="grid items-start gap-x-10 gap-y-6 lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
        <div className="grid gap-6">{children}</div>
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
          ) : plan ? (
            <div aria-busy={isOld} className={isOld ? 'opacity-50' : ''}>
              <AnswerPanel plan={plan} wires={wires} />
            </div>
          ) : (
            <p className="text-xl text-soft">Working it out…</p>
          )}
          {below}
        </section>
      </div>
      {headline === undefined || missing.length > 0 ? null : (
        <a
          href="#answer"
          className="sticky bottom-[calc(var(--bar)+var(--notice,0px))] -mx-4 mt-4 flex min-h-14 items-center gap-3 border-t-2 border-copper bg-sheet px-4 text-lg leading-tight font-semibold short:static lg:hidden"
        >
          <span className="min-w-0 flex-1">{headline}</span>
          <span className="underline underline-offset-4">See why</span>
        </a>
      )}
      <p className="sr-only" role="status">
        {headline ?? ''}
      </p>
    </>
  );
}
