import { useEffect, useRef } from 'react';
import clsx from 'clsx';
import { Link } from 'react-router';
import type { StageName } from '@mendum/core/operations';
import { STAGES } from './stages.ts';
import { type StageState } from './standing.ts';

interface StageLineProps {
  readonly pathTo: (stage: StageName) => string;
  readonly current: StageName;
  readonly states: Readonly<Record<StageName, StageState>>;
  /** Behind the closed gate only Survey can be entered. */
  readonly gateOpen: boolean;
}

const WORDS: Record<StageState, string> = { empty: 'not begun', work: 'in work', done: 'done', look: 'needs a look' };

/**
 * A stage's mark on the wire: done filled, current a splice body, needs a look an open triangle, untouched a ring,
 * behind the gate a lock.
 */
function StageMark({
  state,
  current,
  locked,
}: {
  readonly state: StageState;
  readonly current: boolean;
  readonly locked: boolean;
}) {
  if (current) {
    return (
      <svg viewBox="0 0 44 20" className="h-5 w-11" aria-hidden>
        <rect x="1" y="1" width="42" height="18" rx="7" fill="var(--copper)" />
        <path d="M14 1v18M30 1v18" stroke="var(--sheet)" strokeWidth="2" />
        {state === 'look' ? <path d="M22 4.5 27 14H17Z" fill="none" stroke="var(--sheet)" strokeWidth="2" /> : null}
      </svg>
    );
  }
  if (locked) {
    return (
      <svg viewBox="0 0 20 20" className="size-5" aria-hidden>
        <path d="M6.5 9V6.5a3.5 3.5 0 0 1 7 0V9" fill="none" stroke="var(--soft)" strokeWidth="2" />
        <rect x="4.5" y="9" width="11" height="8" rx="1.5" fill="var(--soft)" />
      </svg>
    );
  }
  return (
    <svg viewBox="0 0 20 20" className="size-5" aria-hidden>
      {state === 'done' ? <circle cx="10" cy="10" r="8" fill="var(--copper)" /> : null}
      {state === 'empty' ? (
        <circle cx="10" cy="10" r="6.5" fill="var(--sheet)" stroke="var(--soft)" strokeWidth="2" />
      ) : null}
      {state === 'work' ? <path d="M10 2a8 8 0 0 0 0 16Z" fill="var(--copper)" /> : null}
      {state === 'work' ? <circle cx="10" cy="10" r="7" fill="none" stroke="var(--copper)" strokeWidth="2" /> : null}
      {state === 'look' ? (
        <path
          d="M10 2.5 18 17H2Z"
          fill="var(--sheet)"
          stroke="var(--rework)"
          strokeWidth="2.4"
          strokeLinejoin="round"
        />
      ) : null}
    </svg>
  );
}

/** The six stages as a stretch of wire with splices on it. */
export function StageLine({ pathTo, current, states, gateOpen }: StageLineProps) {
  const at = STAGES.findIndex((stage) => stage.name === current);
  const strip = useRef<HTMLElement>(null);
  useEffect(() => {
    // On a phone the strip is wider than the screen: the stage that is open is brought into it.
    const { current: line } = strip;
    const open = line?.querySelector<HTMLElement>('[aria-current=step]');
    if (line && open) line.scrollLeft = open.offsetLeft - (line.clientWidth - open.offsetWidth) / 2;
  }, [current]);
  return (
    <nav
      ref={strip}
      aria-label="Stages"
      className="no-print relative grid grid-cols-[repeat(6,minmax(5.5rem,1fr))] overflow-x-auto"
    >
      {STAGES.map(({ name, title }, index) => {
        const locked = !gateOpen && name !== 'survey';
        const words = (
          <>
            {index + 1} {title}
            <span className="sr-only">, {locked ? 'locked until the gate is open' : WORDS[states[name]]}</span>
          </>
        );
        const inside = (
          <>
            <span className="relative flex h-6 w-full items-center justify-center">
              {index > 0 ? (
                <span
                  aria-hidden
                  className={clsx('absolute right-1/2 left-0 mr-6 h-1', index <= at ? 'bg-copper' : 'bg-rule')}
                />
              ) : null}
              {index < STAGES.length - 1 ? (
                <span
                  aria-hidden
                  className={clsx('absolute right-0 left-1/2 ml-6 h-1', index < at ? 'bg-copper' : 'bg-rule')}
                />
              ) : null}
              <span className="relative">
                <StageMark state={states[name]} current={name === current} locked={locked} />
              </span>
            </span>
            <span className={clsx('mt-0.5 block', name === current ? 'font-semibold' : 'text-soft')}>{words}</span>
          </>
        );
        const look = 'block min-h-12 pt-1 pb-1.5 text-center';
        return locked ? (
          <span key={name} className={look} aria-disabled title="The gate in Survey comes first">
            {inside}
          </span>
        ) : (
          <Link
            key={name}
            to={pathTo(name)}
            aria-current={name === current ? 'step' : undefined}
            className={clsx(look, 'hover:bg-wash')}
          >
            {inside}
          </Link>
        );
      })}
    </nav>
  );
}
