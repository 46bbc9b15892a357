import clsx from 'clsx';
import { Minus, Plus } from 'lucide-react';
import type { Part } from '@mendum/core/catalogue';
import { colourDisagreement } from '@mendum/core/stock';
import { Figure } from '../../ui/units.tsx';
import { fits, type Group } from './words.ts';

interface PartListProps {
  readonly group: Group;
  readonly parts: readonly Part[];
  readonly busy: boolean;
  /** It is only read. */
  readonly locked: boolean;
  readonly onOpen: (part: Part) => void;
  readonly onCount: (part: Part, quantity: number) => void;
}

/** The parts of one group: what each takes, what it stands, where it lies and how many there are. */
export function PartList({ group, parts, busy, locked, onOpen, onCount }: PartListProps) {
  return (
    <section aria-label={group.title}>
      <h2 className="border-b border-ink pb-1 text-xl font-semibold">{group.title}</h2>
      <ul>
        {parts.map((part) => {
          const disagrees = colourDisagreement(part);
          return (
            <li key={part.id} className={clsx('border-b border-rule', part.quantity === 0 && 'text-soft')}>
              <div className="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-3 sm:grid-cols-[minmax(0,6fr)_minmax(0,6fr)_4.2rem_auto]">
                <button
                  type="button"
                  disabled={locked}
                  className="min-h-11 py-1 text-left enabled:hover:bg-wash"
                  onClick={() => onOpen(part)}
                >
                  <span className={clsx(!locked && 'underline decoration-rule underline-offset-4')}>{part.name}</span>
                  {part.place === undefined ? null : <span className="block text-sm text-soft">{part.place}</span>}
                </button>
                <span className="order-last col-span-2 pb-1 sm:order-none sm:col-span-1 sm:pb-0">
                  {fits(part)}
                  <span className="text-soft">{part.figuresFrom === 'stamped' ? ', stamped' : ''}</span>
                </span>
                <span className="hidden whitespace-nowrap sm:inline">
                  <Figure value={String(part.ratedC)} unit="°C" />
                </span>
                <span className="flex items-center justify-end">
                  {locked ? null : (
                    <button
                      type="button"
                      disabled={busy || part.quantity === 0}
                      aria-label={`One less: ${part.name}`}
                      className="inline-flex size-11 items-center justify-center rounded-sm hover:bg-wash disabled:text-rule"
                      onClick={() => onCount(part, part.quantity - 1)}
                    >
                      <Minus aria-hidden size={20} />
                    </button>
                  )}
                  <span className="w-14 text-center text-xl font-semibold">
                    {part.quantity === 0 ? (
                      <span className="text-base font-normal">none</span>
                    ) : (
                      <Figure value={String(part.quantity)} />
                    )}
                  </span>
                  {locked ? null : (
                    <button
                      type="button"
                      disabled={busy}
                      aria-label={`One more: ${part.name}`}
                      className="inline-flex size-11 items-center justify-center rounded-sm hover:bg-wash disabled:text-rule"
                      onClick={() => onCount(part, part.quantity + 1)}
                    >
                      <Plus aria-hidden size={20} />
                    </button>
                  )}
                </span>
              </div>
              {disagrees === undefined ? null : (
                <p className="pb-2">
                  <span aria-hidden className="text-rework">
                    ▲{' '}
                  </span>
                  {disagrees}
                </p>
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
