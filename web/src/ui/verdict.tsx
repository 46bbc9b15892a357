import clsx from 'clsx';
import type { Standing, VerdictWord } from '@mendum/core/prove';

const LOOK: Record<VerdictWord, { readonly word: string; readonly colour: string; readonly path: string }> = {
  pass: { word: 'Pass', colour: 'text-pass', path: 'M3 9.5 7 13.5 15 4.5' },
  looked: { word: 'Looked at, not measured', colour: 'text-ink', path: 'M9 3a6 6 0 1 1 0 12a6 6 0 1 1 0-12ZM9 3v12' },
  rework: { word: 'Rework', colour: 'text-rework', path: 'M9 2.5 16 15H2Z' },
  scrap: { word: 'Scrap', colour: 'text-scrap', path: 'M3.5 3.5 14.5 14.5M14.5 3.5 3.5 14.5' },
  open: { word: 'Not proved yet', colour: 'text-soft', path: 'M9 3a6 6 0 1 1 0 12a6 6 0 1 1 0-12Z' },
};

/** A ruling's word with its own shape and colour; never told by colour alone. */
export function Verdict({
  verdict,
  watch = false,
  className,
}: {
  readonly verdict: VerdictWord;
  readonly watch?: boolean;
  readonly className?: string;
}) {
  const { word, colour, path } = LOOK[verdict];
  return (
    <span className={clsx('inline-flex items-center gap-1.5 font-semibold whitespace-nowrap', colour, className)}>
      <svg
        viewBox="0 0 18 18"
        className="size-[1em] shrink-0"
        aria-hidden
        fill="none"
        stroke="currentColor"
        strokeWidth="2.4"
        strokeLinejoin="round"
      >
        <path d={path} />
      </svg>
      {word}
      {watch ? <span className="font-normal">, watch it</span> : null}
    </span>
  );
}

const STANDING: Record<Standing, VerdictWord> = { passed: 'pass', looked: 'looked', failed: 'scrap', unproved: 'open' };
export const StandingMark = ({ standing }: { readonly standing: Standing }) =>
  standing === 'failed' ? (
    <span className="font-semibold text-scrap">✕ Failed</span>
  ) : (
    <Verdict verdict={STANDING[standing]} />
  );
