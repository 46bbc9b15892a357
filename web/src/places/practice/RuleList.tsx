import { useState } from 'react';
import clsx from 'clsx';
import { ruleBook } from '@mendum/core/approach';
import type { BookEntry } from '@mendum/core/method';
import { TextField } from '../../ui/field.tsx';

const VERDICT: Record<BookEntry['verdict'], { readonly word: string; readonly colour: string }> = {
  refuse: { word: '✕ refuses', colour: 'text-scrap' },
  shelf: { word: '○ not there', colour: 'text-rework' },
  warn: { word: '▲ warns', colour: 'text-rework' },
  require: { word: '● requires', colour: 'text-ink' },
  prefer: { word: '↑ prefers', colour: 'text-pass' },
};
const BOOK = ruleBook();

const matching = (entry: BookEntry, words: string): boolean =>
  `${entry.title} ${entry.subject} ${entry.because} ${entry.otherSide} ${entry.id}`
    .toLowerCase()
    .includes(words.toLowerCase());

interface RuleListProps {
  readonly off: readonly string[];
  /** Absent where the practice cannot be changed. */
  readonly onToggle?: ((id: string) => void) | undefined;
}

/** Every rule that the engine obeys, with its switch and the reasons of both sides. */
export function RuleList({ off, onToggle }: RuleListProps) {
  const [words, setWords] = useState('');
  const shown = BOOK.filter((entry) => matching(entry, words.trim()));
  return (
    <>
      <div className="max-w-sm">
        <TextField label="Find a rule" type="search" value={words} onChange={(event) => setWords(event.target.value)} />
      </div>
      <ul className="mt-3 border-t border-ink">
        {shown.map((entry) => {
          const on = !off.includes(entry.id);
          return (
            <li
              key={entry.id}
              className={clsx(
                'grid gap-x-5 border-b border-rule py-2 sm:grid-cols-[110px_minmax(0,1fr)_190px]',
                !on && 'text-soft',
              )}
            >
              <span className={clsx('font-semibold', on ? VERDICT[entry.verdict].colour : 'text-soft')}>
                {VERDICT[entry.verdict].word}
              </span>
              <span>
                <b className="text-lg">{entry.title}</b>
                <span className="block">{entry.because}</span>
                {entry.otherSide === '' ? null : (
                  <span className="block text-soft">
                    <b>Against it:</b> {entry.otherSide}
                  </span>
                )}
                <span className="block text-sm text-soft">
                  {entry.allowedIf === undefined ? '' : `Allowed if ${entry.allowedIf}. `}Rule {entry.id}:{' '}
                  {entry.source}.
                </span>
              </span>
              {entry.switchable ? (
                <label
                  className={clsx(
                    'flex min-h-11 items-center gap-3 self-start sm:justify-end',
                    onToggle ? '' : 'text-soft',
                  )}
                >
                  <input
                    type="checkbox"
                    role="switch"
                    aria-label={entry.title}
                    className="size-6 accent-(--copper)"
                    checked={on}
                    disabled={!onToggle}
                    onChange={() => onToggle?.(entry.id)}
                  />
                  {on ? 'on' : 'off'}
                </label>
              ) : (
                <span className="self-start text-soft sm:text-right">holds in every practice</span>
              )}
            </li>
          );
        })}
      </ul>
    </>
  );
}
