import clsx from 'clsx';
import { NavLink } from 'react-router';
import { useDueCountQuery } from './api.ts';
import { RailKeys } from './RailKeys.tsx';

/** Small drawings of the things themselves. */
const PLACES = [
  { to: '/jobs', name: 'Jobs', path: 'M3 5h10M3 10h15M3 15h7' },
  {
    to: '/machines',
    name: 'Machines',
    path: 'M2 13V8h6l2-4h4v9M14 9h4v4M5.5 16.5a2 2 0 1 0 0-4 2 2 0 0 0 0 4ZM14.5 17a2.6 2.6 0 1 0 0-5.2 2.6 2.6 0 0 0 0 5.2Z',
  },
  { to: '/shelf', name: 'Shelf', path: 'M2 9h16M2 17h16M4 9V5h3v4M10 9V3h4v6M6 17v-4h5v4M14 17v-3h2v3' },
  { to: '/practice', name: 'Practice', path: 'M4 3h12v14H4ZM7 7h6M7 10.5h6M7 14h3' },
  { to: '/due', name: 'Due back', path: 'M10 3a7 7 0 1 1 0 14 7 7 0 0 1 0-14ZM10 6.5V10l2.5 2' },
] as const;

const KEY = 'flex min-h-14 w-full flex-col items-center justify-center gap-1 text-sm sm:shrink-0';
const DRAWN = { viewBox: '0 0 20 20', fill: 'none', stroke: 'currentColor', 'aria-hidden': true } as const;

interface RailProps {
  readonly onPerson: () => void;
  readonly onFind: () => void;
  readonly onMore: () => void;
}

/** The places, beside what is open; on a phone a bar under it, within reach of the thumb, with the rest behind More. */
export function Rail({ onPerson, onFind, onMore }: RailProps) {
  const { data: overdue = 0 } = useDueCountQuery();
  return (
    <nav
      aria-label="Places"
      className={clsx(
        'no-print z-30 flex shrink-0 border-rule bg-paper max-sm:fixed max-sm:inset-x-0 max-sm:bottom-0 max-sm:order-last',
        'max-sm:h-(--bar) max-sm:border-t max-sm:pb-[env(safe-area-inset-bottom,0px)]',
        'sm:sticky sm:top-0 sm:h-dvh sm:w-[4.875rem] sm:flex-col sm:overflow-y-auto sm:border-r',
      )}
    >
      <NavLink
        to="/jobs"
        aria-label="Mendum, jobs"
        className="flex h-14 shrink-0 items-center justify-center max-sm:hidden"
      >
        <svg viewBox="0 0 44 24" className="w-11" aria-hidden>
          <path d="M0 12h44" stroke="var(--ink)" strokeWidth="3" />
          <rect x="10" y="4" width="24" height="16" rx="6" fill="var(--sheet)" stroke="var(--ink)" strokeWidth="2" />
          <path d="M16 9h5.2v6H16ZM22.8 9H28v6h-5.2Z" fill="var(--copper)" />
        </svg>
      </NavLink>
      {PLACES.map(({ to, name, path }) => (
        <NavLink
          key={to}
          to={to}
          className={({ isActive }) =>
            clsx(
              KEY,
              'relative max-sm:border-t-4 sm:border-l-4',
              isActive
                ? 'border-copper bg-wash font-semibold'
                : 'border-transparent text-soft hover:bg-wash hover:text-ink',
            )
          }
        >
          <svg {...DRAWN} className="size-6" strokeWidth="1.6">
            <path d={path} />
          </svg>
          <span className="max-w-full truncate">{name}</span>
          {to === '/due' && overdue > 0 ? (
            <span
              className={clsx(
                'rounded-sm bg-scrap px-1.5 text-center text-sm leading-tight font-semibold text-paper',
                'max-sm:absolute max-sm:top-0.5 max-sm:right-1',
              )}
            >
              {overdue}
              <span className="max-sm:sr-only"> overdue</span>
            </span>
          ) : null}
        </NavLink>
      ))}
      <button
        type="button"
        className={clsx(KEY, 'border-t-4 border-transparent text-soft hover:bg-wash sm:hidden')}
        onClick={onMore}
        aria-label="More: find, units, theme, who is at the bench"
      >
        <svg {...DRAWN} className="size-6" strokeWidth="3" strokeLinecap="round">
          <path d="M4 10h.01M10 10h.01M16 10h.01" />
        </svg>
        More
      </button>
      <div className="mt-auto border-t border-rule max-sm:hidden">
        <RailKeys look={clsx(KEY, 'hover:bg-wash')} onPerson={onPerson} onFind={onFind} />
      </div>
    </nav>
  );
}
